"""The book of threads: browsing, a page with what the person has, files, favourites, one thread over another."""

from __future__ import annotations

import csv
import io
import json
import math
from typing import Any
from urllib.parse import urlencode
from xml.etree import ElementTree

import ezdxf
from django.test import TestCase
from ezdxf.filemanagement import read

from lathework.threads.library import library
from server.jobs.tests.case import Answer


class Book(TestCase):
    def ask(self, path: str, **query: str) -> Answer:
        return self.client.get(f"/api/threads/{path}?{urlencode(query)}")

    def page(self, q: str, **query: str) -> Any:
        answer = self.ask("card", q=q, **query)
        self.assertEqual(answer.status_code, 200, answer.content[:300])
        return json.loads(answer.content)

    def wrong(self, path: str, **query: str) -> tuple[str, str]:
        answer = self.ask(path, **query)
        self.assertEqual(answer.status_code, 422, answer.content[:300])
        error = json.loads(answer.content)["errors"][0]
        return error["field"], error["code"]

    def test_every_series_can_be_browsed_to_its_last_thread(self) -> None:
        found = [
            row["designation"]
            for series in json.loads(self.ask("series").content)
            for row in json.loads(self.ask("rows", series=series["series"]).content)
        ]
        self.assertEqual(sorted(found), sorted(t.designation for t in library()))
        self.assertEqual(json.loads(self.ask("rows", series="none").content), [])

    def test_series_stand_in_the_order_of_the_book(self) -> None:
        """What is met most first; what single trades have, and what is no longer made, behind."""
        told = [load["series"] for load in json.loads(self.ask("series").content)]
        self.assertEqual(told[:8], ["UNC", "UNF", "UNEF", "UN", "coarse", "fine", "BSW", "BSF"])
        self.assertGreater(min(told.index(one) for one in ("old", "BSC", "Lö", "Tr")), told.index("NPSM"))

    def test_a_page_for_every_family(self) -> None:
        for q in (
            "3/8-16",
            "M10",
            "1/2 BSW",
            "2 BA",
            "G1/2",
            "Rp1/2",
            "R1/2",
            "1/2 NPT",
            "1/4-40 me",
            "M8x1.3 special",
            "Lö3",
        ):
            with self.subTest(q):
                page = self.page(q)
                self.assertTrue(page["letters"] and page["drawing"]["paths"])
                for row in page["limits"]:
                    for figure in filter(None, (row["least"], row["greatest"])):
                        self.assertTrue(figure["formula"] and figure["source"]["title"])

    def test_classes_of_the_page(self) -> None:
        """ASME B1.1: 3/8-16 UNC 3A pitch diameter 0.3311 to 0.3344, 3B minor 0.3070 to 0.3182 in."""
        page = self.page("3/8-16", **{"class": "3A", "internal_class": "3B"})
        self.assertEqual(page["external"]["pitch_diameter"], [0.3311, 0.3344])
        self.assertEqual(page["internal"]["minor"], [0.307, 0.3182])
        self.assertEqual(page["external_classes"][0], "2A")

    def test_what_the_person_has(self) -> None:
        """By hand: a 5/16 drill leaves 100 x 0.0625 / (1.299038/16) = 77 %; 0.0002 in of plating adds 0.0008."""
        page = self.page("3/8-16", wire="0.04", drill="5/16", plating="0.0002")
        self.assertEqual([round(f["value"]) for f in page["drill"]], [77, 92])
        self.assertAlmostEqual(page["plating"][0]["value"], 0.0008, places=6)
        wires = page["three_wires"]
        self.assertTrue(wires["serves"])
        lead = 0.75 * 0.04 * (1 / 16 / math.pi / 0.3331) ** 2
        self.assertAlmostEqual(wires["over"][1]["value"], 0.3331 + 3 * 0.04 - 0.866025 / 16 + lead, places=5)
        self.assertFalse(self.page("3/8-16", wire="0.02")["three_wires"]["serves"])
        self.assertIn("lead-angle", wires["lead_angle"]["name"])

    def test_what_cannot_be_used_is_told_beside_its_field(self) -> None:
        for query, told in (
            ({"q": "bolt"}, ("designation", "unreadable")),
            ({"q": "M8", "class": "2A"}, ("class", "class-not-covered")),
            ({"q": "M8", "internal_class": "9H"}, ("internal_class", "class-not-covered")),
            ({"q": "M8", "engagement": "long"}, ("engagement", "not-a-length")),
            ({"q": "M8", "wire": "0"}, ("wire", "out-of-range")),
            ({"q": "R1/2", "wire": "1"}, ("wire", "no-limits")),
            ({"q": "M8", "drill": "1/0"}, ("drill", "divided-by-zero")),
            ({"q": "M8", "plating": "9"}, ("plating", "out-of-range")),
        ):
            with self.subTest(query):
                self.assertEqual(self.wrong("card", **query), told)
        self.assertEqual(self.wrong("mating", bolt="bolt", nut="M6"), ("bolt", "unreadable"))
        self.assertEqual(self.wrong("pipe-hole", q="M10"), ("designation", "not-a-taper"))
        self.assertEqual(self.wrong("pipe-hole", q="Rc1/2", drills="blunt")[0], "drills")
        self.assertEqual(self.wrong("mating", bolt="R1/2", nut="M6"), ("bolt", "no-limits"))
        self.assertEqual(self.wrong("mating", bolt="M6", nut="1/2 NPT"), ("nut", "no-limits"))

    def test_files(self) -> None:
        rows = list(csv.DictReader(io.StringIO(self.ask("card.csv", q="3/8-16").content.decode())))
        self.assertEqual(len(rows), 10)
        self.assertEqual(rows[2]["inches"], "0.3287")
        self.assertEqual(json.loads(self.ask("card.json", q="M8").content)["designation"], "M8")
        drawing = ElementTree.fromstring(self.ask("card.svg", q="M8").content)
        self.assertEqual(drawing.tag, "{http://www.w3.org/2000/svg}svg")

    def test_the_dxf_is_true_to_size(self) -> None:
        """Two pitches of M8 are 2.5 mm long, 1/2-13 3.908 mm: measured in the file by the library that reads it."""
        for q, long in (("M8", 2.5), ("1/2-13", 2 * 25.4 / 13)):
            drawing = read(io.StringIO(self.ask("card.dxf", q=q).content.decode()))
            lines: list[Any] = list(drawing.modelspace().query('LWPOLYLINE[layer=="nut"]'))
            xs = [x for line in lines for x, *_ in line.get_points()]
            self.assertAlmostEqual(max(xs) - min(xs), long, places=4)
            self.assertEqual(drawing.units, ezdxf.units.MM)

    def test_favourites_are_kept_once_and_let_go(self) -> None:
        for text in ("3/8 x 16", "3/8-16 UNC", "m8"):
            kept = self.client.put("/api/threads/favourites", {"designation": text}, content_type="application/json")
            self.assertEqual(kept.status_code, 200)
        self.assertEqual(json.loads(self.ask("favourites").content)["favourites"], ["3/8-16 UNC", "M8"])
        self.assertEqual(
            json.loads(self.client.delete("/api/threads/favourites?q=M8").content)["favourites"], ["3/8-16 UNC"]
        )
        bad = self.client.put("/api/threads/favourites", {"designation": "x"}, content_type="application/json")
        self.assertEqual(bad.status_code, 422)

    def test_one_thread_over_another(self) -> None:
        found = json.loads(self.ask("mating", bolt="1/4-20", nut="M6").content)
        self.assertEqual(found["verdict"], "will-not-start")
        self.assertIn("Do not force it", found["sentence"])
        self.assertTrue(any(path["role"] == "clash" for path in found["drawing"]["paths"]))
