"""Job files, readings, sheet and drawing; and a round trip that changes nothing."""

from __future__ import annotations

import csv
import io
import json
import re
from collections import Counter
from datetime import date
from pathlib import Path
from typing import Any
from unittest.mock import patch
from xml.etree import ElementTree

import ezdxf
from django.conf import settings
from django.core.management import call_command
from ezdxf.filemanagement import read
from jsonschema import Draft202012Validator
from pypdf import PdfReader
from reportlab.lib.units import mm
from reportlab.pdfbase.pdfmetrics import stringWidth

from lathework.drawing.part.layout import CHAR, LETTERING, PAPER
from lathework.drawing.part.view import part_sheet
from lathework.job.document import read_document
from lathework.planning.plan import make_plans
from lathework.tests.samples import PLUG, TIE_ROD, bore, document, section
from server.jobs.models import Entry, Job
from server.jobs.stored import live_entries, recorded
from server.jobs.tests.case import ApiCase
from server.paper.fonts import FIGURES, fonts
from server.paper.lettering import SIZES, Lettering
from server.paper.pages import WIDTH, sheet_of_paper
from server.paper.setup_sheet import setup_sheet, story_of

NUMBERED = 7
"""Points that the numbers of pieces are high on a sheet."""
SCHEMA = Draft202012Validator(json.loads((Path(settings.ROOT) / "docs/formats/job-3.schema.json").read_text()))


class JobFile(ApiCase):
    def test_round_trip(self) -> None:
        """Written, read and written again: the same file, and valid by the published schema."""
        self.walk_to("gauge:s1")
        told = self.told(self.record("verdict", verdict="go-stops", tried="teeth"), 422)
        self.assertEqual(told, {"tried": "unknown-choice"})
        self.record("verdict", verdict="go-stops", tried="limits")
        self.record("setting")
        self.record("verdict", reading="0.3345", tried="thread-micrometer")
        self.record("accept", reason="its nut is cut to it", disposition="wanted", why="die")
        self.record("note", reason="=1+1; the die is dull")
        first = self.get(self.url("/job.json"))
        SCHEMA.validate(first)
        answer = self.send("POST", "/api/jobs/import", first)
        self.assertEqual(answer.status_code, 201)
        number = answer.json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{number}/job.json"), first)
        one, two = self.get(self.url("/bench")), self.get(f"/api/jobs/{number}/bench")
        kept, read = ([recorded(row) for row in live_entries(job)] for job in (self.job.pk, number))
        self.assertEqual(kept, read)
        self.assertEqual((kept[-2].why, kept[-3].tried), ("die", "thread-micrometer"))
        own = dict.fromkeys(("id", "last", "changed_at"))
        self.assertEqual(one | own, two | own)

    def test_a_broken_file_changes_nothing_and_is_told_where(self) -> None:
        sound = self.get(self.url("/job.json"))
        before = Job.objects.count(), Entry.objects.count()
        for value, field in (
            (sound | {"version": 9}, "version"),
            (sound | {"record": {"entries": [{"kind": "done"}]}}, "record.entries.0.piece"),
            (sound | {"quantity": 0}, "quantity"),
            ([sound], ""),
            ("text", ""),
        ):
            with self.subTest(field):
                self.assertIn(field, self.told(self.send("POST", "/api/jobs/import", value), 422))
        self.told(self.client.post("/api/jobs/import", "{nope", content_type="application/json"), 400)
        self.assertEqual((Job.objects.count(), Entry.objects.count()), before)

    def test_the_demo_is_valid_and_loads(self) -> None:
        files = sorted((Path(settings.ROOT) / "demo").glob("*.json"))
        self.assertGreaterEqual(len(files), 5)
        for file in files:
            SCHEMA.validate(json.loads(file.read_text()))
        Job.objects.all().delete()
        call_command("begin")
        cards = self.jobs()
        self.assertEqual(len(cards), len(files))
        self.assertGreaterEqual(len({card["state"] for card in cards}), 4)
        families = {self.get(f"/api/jobs/{card['id']}")["plan"]["thread"]["family"] for card in cards}
        self.assertGreaterEqual(len(families), 4)


class OtherFiles(ApiCase):
    def test_readings_as_csv(self) -> None:
        self.walk_to("turn:s1")
        self.record("reading", reading="12.1 mm")
        self.record("note", reason="=HYPERLINK(1)")
        answer = self.client.get(self.url("/readings.csv"))
        self.assertIn("attachment", answer["Content-Disposition"])
        rows = list(csv.DictReader(io.StringIO(answer.content.decode())))
        self.assertEqual([row["kind"] for row in rows], ["done", "reading", "note"])
        self.assertEqual(
            (rows[1]["reading_mm"], rows[1]["reading_in"], rows[1]["typed"]), ("12.1000", "0.47638", "12.1 mm")
        )
        self.assertEqual(rows[2]["text"], "'=HYPERLINK(1)", "a spreadsheet must not run it")

    def test_the_set_up_sheet_holds_the_figures(self) -> None:
        answer = self.client.get(self.url("/sheet.pdf"))
        text = " ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages)
        told = (
            "Levelling studs",
            "0.3688",
            "Caution: Take the key out",
            "Gauge with the nut",
            "die in the sliding",
        )
        for words in told:
            self.assertIn(words, text)
        self.assertIn("−2.0938 in", " ".join(text.split()))
        self.assertIn("right-hand knife tool, 702 rev/min", " ".join(text.split()))

    def test_labels_are_as_wide_as_the_drawing_takes_them_for(self) -> None:
        """The layout reckons with the advance of the shipped face: none over another on screen is none on paper."""
        fonts()
        self.assertAlmostEqual(stringWidth("0", FIGURES, LETTERING), CHAR, delta=0.01)

    def test_no_heading_stands_away_from_its_steps(self) -> None:
        """Every page is numbered, and a second end's heading is on the page of the step that follows it."""
        job = self.send("POST", "/api/jobs", document(TIE_ROD)).json()
        pages = PdfReader(io.BytesIO(self.client.get(f"/api/jobs/{job['id']}/sheet.pdf").content)).pages
        words = [" ".join(page.extract_text().split()) for page in pages]
        for number, text in enumerate(words, 1):
            self.assertIn(f"page {number} of {len(words)}", text)
        second = next(text for text in words if "Second end: held by" in text)
        self.assertIn("Turn end for end", second)

    def test_what_is_done_off_the_lathe_comes_last(self) -> None:
        """The hexagon of the first end is milled when both ends are turned: no end is begun twice for it."""
        hexagon = section("hexagon", "1/2", across="0.7")
        sections = [section("thread", "3/4", thread="3/4-16"), hexagon, section("bar")]
        body = {
            "part.sections": sections,
            "part.stock.across": "1",
            "part.overall_length": "2",
            "part.bores": [bore("1/4-20", depth="1/2", end="left")],
        }
        job = self.send("POST", "/api/jobs", document(body)).json()
        paper = PdfReader(io.BytesIO(self.client.get(f"/api/jobs/{job['id']}/sheet.pdf").content)).pages
        text = " ".join(" ".join(page.extract_text().split()) for page in paper)
        places = [text.index(words) for words in ("First end", "Second end", "Turn end for end", "Mill the hexagon")]
        self.assertEqual(places, sorted(places))
        self.assertEqual(text.count("First end"), 1)

    def test_the_sheet_of_every_kind_of_job(self) -> None:
        changes: tuple[dict[str, Any], ...] = (
            {"hazards": ["pressure"], "notes": "Ω & <b>", "title": "x" * 120},
            {"method.finish": "die-turned-round"},
            {**TIE_ROD, "method.finish": "run-out"},
            {**PLUG, "method.holder": "stock-in-vise"},
        )
        for number, change in enumerate(changes):
            job = self.send("POST", "/api/jobs", document(change)).json()
            with self.subTest(number):
                self.assertTrue(self.client.get(f"/api/jobs/{job['id']}/sheet.pdf").content.startswith(b"%PDF"))

    def test_the_drawing_as_svg(self) -> None:
        answer = self.client.get(self.url("/part.svg"))
        self.assertEqual(answer["Content-Type"], "image/svg+xml")
        self.assertIn("2.000", [node.text for node in ElementTree.fromstring(answer.content).iter() if node.text])

    def test_a_drawing_for_each_end(self) -> None:
        rod = self.send("POST", "/api/jobs", document(TIE_ROD)).json()["id"]
        second = self.client.get(f"/api/jobs/{rod}/part.svg?end=2")
        self.assertIn("second end", second.content.decode())
        self.assertEqual(self.client.get(f"/api/jobs/{rod}/part.dxf?end=2").status_code, 200)
        self.assertEqual(self.told(self.client.get(self.url("/part.svg?end=2")), 422), {"end": "out-of-range"})


class PartDxf(ApiCase):
    def test_the_drawing_is_true_to_size(self) -> None:
        """The finished stud is 2 in long, 50.8 mm, measured in the file by the library that reads it."""
        drawing = read(io.StringIO(self.client.get(self.url("/part.dxf")).content.decode()))
        lines: list[Any] = list(drawing.modelspace().query('LWPOLYLINE[layer=="part"]'))
        spans = [max(x for x, *_ in line.get_points()) - min(x for x, *_ in line.get_points()) for line in lines]
        self.assertTrue(any(abs(span - 50.8) < 0.01 for span in spans), spans)
        self.assertEqual(drawing.units, ezdxf.units.MM)
        self.assertFalse(drawing.modelspace().query('*[layer=="removal"]'))

    def test_every_size_that_is_measured_has_a_box(self) -> None:
        """And every step a square to tick; between two pieces stands the bar that they are parted from."""
        [plan] = make_plans(read_document(document(TIE_ROD)))
        pages = PdfReader(io.BytesIO(setup_sheet([plan]))).pages
        contents = [page.get_contents() for page in pages]
        drawn = "".join(one.get_data().decode("latin-1") for one in contents if one is not None)
        high = Counter(round(float(tall) / mm, 1) for tall in re.findall(r" (\S+) re S", drawn))
        written = ("diameter", "length", "bore", "across-flats")
        sizes = [size for step in plan.operations for size in step.dimensions if size.measured in written]
        boxes = {5.5: len(plan.operations), 7.0: sum(size.move != "none" for size in sizes)}
        self.assertEqual(high, boxes | ({3.0: plan.job.quantity - 1} if plan.job.quantity > 1 else {}))

    def test_every_piece_is_ticked_off(self) -> None:
        """Or every ten, or every hundred: the last box has the number of the last piece."""
        for many, each in ((1, 0), (2, 1), (40, 1), (41, 10), (400, 10), (1000, 100), (5000, 1000)):
            [made] = make_plans(read_document(document({"quantity": many})))
            counted: list[str] = []

            def note(text: str, _: Any, __: Any, ___: Any, size: float, counted: list[str] = counted) -> None:
                counted += text.split() if size == NUMBERED else []

            PdfReader(io.BytesIO(setup_sheet([made]))).pages[0].extract_text(visitor_text=note)
            with self.subTest(many):
                ends = [min(number, many) for number in range(each, many + each, each)] if each else []
                self.assertEqual(counted, [str(number) for number in ends])
                self.assertLessEqual(len(counted), 40)

    def test_the_foot_says_which_sheet_it_is(self) -> None:
        """The job, however long it is called, its revision, the day, the page: none over another."""
        title = "Winding spindle of the lamp carriage " * 3
        [made] = make_plans(read_document(document(TIE_ROD) | {"title": title[:100]}))
        pages = PdfReader(io.BytesIO(setup_sheet([made], issued="revision 3, 2 December 2026"))).pages
        for number, page in enumerate(pages, 1):
            text = page.extract_text()
            self.assertIn(f"revision 3, 2 December 2026 · page {number} of {len(pages)}", text)
            self.assertIn("…", text)
        with patch("server.jobs.history.closed.localdate", return_value=date(2026, 12, 2)):
            paper = self.client.get(self.url("/sheet.pdf")).content
        self.assertRegex(
            PdfReader(io.BytesIO(paper)).pages[0].extract_text(), r"revision \d+, 2 December 2026 · page 1 of"
        )

    def test_cautions_are_told_in_full_where_that_takes_no_paper(self) -> None:
        """Each step of the demo's studs tells its own; a rod that would take a third page is sent back to a step."""
        demo = Path(settings.ROOT) / "demo" / "02-levelling-studs.json"
        for made, again in ((json.loads(demo.read_text()), False), (document(TIE_ROD), True)):
            [plan] = make_plans(read_document(made))
            pages = PdfReader(io.BytesIO(setup_sheet([plan]))).pages
            told = " ".join(" ".join(page.extract_text() for page in pages).split())
            each = Counter(c.do for step in plan.operations for c in step.cautions)
            with self.subTest(plan.job.title):
                self.assertEqual(len(pages), 2)
                self.assertEqual("Caution: as at step" in told, again)
                self.assertEqual([words for words, many in each.items() if told.count(words) != many] != [], again)

    def test_the_order_of_a_batch_stands_on_the_sheet(self) -> None:
        for batch, quantity, told in (("holding", 4, True), ("piece", 4, False), ("holding", 1, False)):
            [made] = make_plans(read_document(document({"method.batch": batch, "quantity": quantity})))
            facts = PdfReader(io.BytesIO(setup_sheet([made]))).pages[0].extract_text()
            with self.subTest(batch=batch, quantity=quantity):
                self.assertEqual("one set-up for all" in " ".join(facts.split()), told)

    def test_the_sheet_says_how_much_bar(self) -> None:
        page = PdfReader(io.BytesIO(self.client.get(self.url("/sheet.pdf")).content)).pages[0].extract_text()
        self.assertIn("13.862 in for the batch", " ".join(page.split()))


class Pages(ApiCase):
    def test_no_other_lettering_takes_fewer(self) -> None:
        """Each demo job at every size, drawn in full: the sheet takes as few pages as any, in the largest that does."""
        fonts()
        for file in sorted((Path(settings.ROOT) / "demo").glob("*.json")):
            plans = make_plans(read_document(json.loads(file.read_text())))
            drawings = [[part_sheet(plan, PAPER, c.number) for c in plan.chuckings] for plan in plans]
            takes = []
            for size in SIZES:
                out = sheet_of_paper(io.BytesIO(), "")
                out.build(story_of(plans, Lettering(size, WIDTH), drawings))
                takes.append(out.page)
            with self.subTest(file.name):
                told = PdfReader(io.BytesIO(setup_sheet(plans)))
                self.assertEqual(len(told.pages), min(takes))
