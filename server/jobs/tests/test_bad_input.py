"""Bodies that are no JSON or too large, documents wrong all over, odd dates, ids not there, formulas in CSV."""

from __future__ import annotations

import csv
import io
import json

from lathework.job.declaration import MOST_OTHERS
from lathework.tests.samples import bore, document, section
from server.devices.known import ONLOOKER_BYTES
from server.jobs.models import Job
from server.jobs.tests.case import ApiCase
from server.site.bodies import MOST_MARKS


class Bodies(ApiCase):
    def test_what_is_no_json(self) -> None:
        paths = (
            ("POST", "/api/jobs"),
            ("POST", "/api/jobs/import"),
            ("PUT", self.url()),
            ("POST", self.url("/entries")),
        )
        broken = b"--x\r\nContent-Disposition: form-data; name=a\r\n\r\n1\r\n"
        for method, path in paths:
            for kind, body in (
                ("multipart/form-data; boundary=x", broken),
                ("multipart/form-data", b"zzz"),
                ("application/x-www-form-urlencoded", b"a=1"),
                ("text/plain", b"{}"),
            ):
                with self.subTest(path=path, kind=kind):
                    self.told(self.client.generic(method, path, body, content_type=kind), 415)
            for text in (b"{", b"\xff\xfe", b"[" * 20000, b"nul"):
                with self.subTest(path=path, text=text[:8]):
                    self.told(self.client.generic(method, path, text, content_type="application/json"), 400)

    def test_one_that_is_too_large_is_not_read(self) -> None:
        body = b'"' + b"x" * (8 * 2**20) + b'"'
        self.told(self.client.generic("POST", "/api/jobs/import", body, content_type="application/json"), 413)

    def test_what_holds_more_than_any_job_is_not_read(self) -> None:
        """400,000 keys fit in the bytes of a request, and would be hundreds of megabytes once read."""
        crowd = {f"k{number}": 1 for number in range(400_000)}
        for path in ("/api/jobs", "/api/jobs/plan", "/api/identify"):
            self.told(self.send("POST", path, document() | crowd), 413)
        self.told(self.send("PUT", self.url(), {"document": crowd, "revision": 1}), 413)

    def test_the_largest_job_is_read(self) -> None:
        """As many parts as a job has, each of as many sections as a part has, with as many holes."""
        whole = document()
        steps = [section("round", "0.1", across=f"{0.3 + 0.01 * at:.2f}") | {"id": f"s{at}"} for at in range(15)]
        holes = [bore(across="0.05", depth="0.1", end="across", at=f"{0.1 + 0.1 * at:.1f}") for at in range(6)]
        part = whole["part"] | {"sections": [*steps, section("bar") | {"id": "rest"}]}
        part |= {"bores": [hole | {"id": f"h{at}"} for at, hole in enumerate(holes)]}
        whole["part"] = part
        other = {name: whole[name] for name in ("fits", "quantity", "material", "method")}
        whole["others"] = [other | {"part": part | {"id": f"p{number}"}} for number in range(2, 2 + MOST_OTHERS)]
        text = json.dumps(whole)
        self.assertLess(4 * (text.count(",") + text.count(":")), MOST_MARKS)
        self.assertLess(len(text), ONLOOKER_BYTES)
        answer = self.send("POST", "/api/jobs/plan", whole)
        self.assertEqual(answer.status_code, 200, answer.content[:900])

    def test_at_most_fifty_errors_and_then_their_count(self) -> None:
        """A crowd of fields that nobody knows: the answer is as short as for fifty."""
        for path, count in (("/api/jobs/import", 100_000), ("/api/jobs", 20_000)):
            crowd = {f"field {number}": 1 for number in range(count)}
            answer = self.send("POST", path, document() | crowd)
            self.assertEqual(answer.status_code, 422)
            errors = answer.json()["errors"]
            self.assertEqual(len(errors), 51)
            self.assertEqual(errors[-1]["message"], f"And {count - 50} more.")
            self.assertLess(len(answer.content), 50_000)


class Files(ApiCase):
    def entry(self, **more: object) -> dict[str, object]:
        told = {"title": "Face the end, set Z zero", "tool": "right-hand knife tool, tip"}
        base = {"kind": "done", "piece": 1, "part": "p1", "step": "face:right", "told": told}
        return {**base, "at": "2026-11-21T10:02:00+00:00", **more}

    def refused(self, file: dict[str, object]) -> dict[str, str]:
        before = Job.objects.count()
        told = self.told(self.send("POST", "/api/jobs/import", file), 422)
        self.assertEqual(Job.objects.count(), before)
        return told

    def test_ids_that_are_doubled_or_not_there(self) -> None:
        for change, told in (
            ({"part.sections.1.id": "s1"}, {"part.sections.1.id": "doubled-id"}),
            ({"part.sections.0.id": ""}, {"part.sections.0.id": "no-id"}),
            ({"part.sections.0.id": "has blanks"}, {"part.sections.0.id": "not-an-id"}),
            ({"part.id": None}, {"part.id": "no-id"}),
        ):
            with self.subTest(told):
                made = document({k: v for k, v in change.items() if v is not None})
                if None in change.values():
                    del made["part"]["id"]
                self.assertEqual(self.refused(made), told)

    def test_entries_that_speak_of_what_is_not_there(self) -> None:
        for more, field, code in (
            ({"step": "turn:s9"}, "step", "unknown-id"),
            ({"step": "dance:s1"}, "step", "unknown-step"),
            ({"part": "p7"}, "part", "unknown-part"),
            ({"at": "0001-01-01T00:00:00+14:00"}, "at", "not-a-date"),
            ({"at": "9999-12-31T23:59:59.999999-14:00"}, "at", "not-a-date"),
            ({"kind": "dance"}, "kind", "unknown-choice"),
        ):
            with self.subTest(field):
                file = document() | {"record": {"entries": [self.entry(**more)]}}
                self.assertEqual(self.refused(file), {f"record.entries.0.{field}": code})

    def test_cells_that_a_spreadsheet_would_run(self) -> None:
        """Of an imported record too: what was typed, the words of a step, a part's name, a title."""
        run = "=HYPERLINK(1)"
        told = {"title": run, "part": "+1", "thread": "@x", "metal": "-", "aim_mm": 9.3}
        entries = [
            self.entry(told=told, word="\t=1", text=" =2", typed="-9.37"),
            self.entry(kind="reading", step="turn:s1", value_mm=9.37, typed="=9.37", told=told),
        ]
        file = document({"title": run}) | {"record": {"entries": entries}}
        number = self.send("POST", "/api/jobs/import", file).json()["id"]
        text = self.client.get(f"/api/jobs/{number}/readings.csv").content.decode()
        for row in csv.reader(io.StringIO(text)):
            for cell in row:
                self.assertFalse(cell.lstrip().startswith(("=", "+", "-", "@", "\t")), cell)
        self.assertIn("'=HYPERLINK(1)", text)

    def test_what_is_gone_from_a_job_goes_with_its_file(self) -> None:
        """A groove was done, then its section taken out: the file says what is gone, and reads back the same."""
        self.walk_to("chamfer:s1")
        changed = document()
        changed["part"]["sections"][0]["id"] = "fresh"
        self.send("PUT", self.url(), {"document": changed, "revision": 1})
        file = self.get(self.url("/job.json"))
        self.assertEqual(file["record"]["gone"], [{"part": "p1", "id": "s1"}])
        again = self.send("POST", "/api/jobs/import", file).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{again}/job.json"), file)
        del file["record"]["gone"]
        self.assertIn("unknown-id", json.dumps(self.refused(file)))
