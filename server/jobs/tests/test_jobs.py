"""Starting, listing, planning and changing jobs."""

from __future__ import annotations

import zlib

import orjson

from lathework.tests.samples import document
from server.jobs.history.closed import BENCH
from server.jobs.models import ClosedAnswer, Job
from server.jobs.tests.case import ApiCase


class Jobs(ApiCase):
    def test_a_started_job_is_listed_with_what_is_next(self) -> None:
        answer = self.send("POST", "/api/jobs", document({"title": "Pivot pins"}))
        self.assertEqual(answer.status_code, 201)
        cards = self.jobs()
        self.assertEqual([card["title"] for card in cards], ["Pivot pins", "Levelling studs"])
        self.assertEqual((cards[0]["state"], cards[0]["next_step"]), ("planned", "Face the end, set Z zero"))

    def test_errors_name_every_field_and_nothing_is_stored(self) -> None:
        wrong = document({"title": "", "part.sections.0.thread": "7/16 whitworth", "part.stock.across": "1/0"})
        told = self.told(self.send("POST", "/api/jobs", wrong), 422)
        self.assertEqual(
            told, {"title": "empty", "part.sections.0.thread": "ambiguous", "part.stock.across": "divided-by-zero"}
        )
        self.assertEqual(Job.objects.count(), 1)

    def test_what_is_no_document_is_told(self) -> None:
        self.assertTrue(self.told(self.send("POST", "/api/jobs", {"title": "x"}), 422))
        self.assertTrue(self.told(self.send("POST", "/api/jobs", document({"colour": "red"})), 422))
        answer = self.client.post("/api/jobs", "{broken", content_type="application/json")
        self.told(answer, 400)

    def test_a_plan_follows_a_document_that_is_not_stored(self) -> None:
        """0.375 less a twentieth of 1/16 (brass) is 0.371875."""
        answer = self.send("POST", "/api/jobs/plan", document({"material": "brass"}))
        figures = {f["key"]: f["figure"] for f in answer.json()["operations"][1]["figures"]}
        self.assertEqual(figures["diameter"]["shown"]["inch"]["text"], "0.3719")
        self.assertEqual(Job.objects.count(), 1)

    def test_a_change_is_stored_with_a_new_revision(self) -> None:
        answer = self.send("PUT", self.url(), {"document": document({"quantity": 8}), "revision": 1})
        self.assertEqual((answer.status_code, answer.json()["revision"]), (200, 2))
        self.assertEqual(self.stored().document["quantity"], 8)

    def test_a_change_over_another_is_refused(self) -> None:
        """Two screens changed the same job: the later one is told, and the first one's change stands."""
        self.send("PUT", self.url(), {"document": document({"quantity": 8}), "revision": 1})
        answer = self.send("PUT", self.url(), {"document": document({"quantity": 9}), "revision": 1})
        self.told(answer, 409)
        self.assertEqual(self.stored().document["quantity"], 8)

    def test_a_wrong_change_leaves_the_job_as_it_was(self) -> None:
        wrong = document({"part.sections.0.length": "9"})
        told = self.told(self.send("PUT", self.url(), {"document": wrong, "revision": 1}), 422)
        self.assertEqual(told, {"part.sections.1.length": "does-not-fit"})
        self.assertEqual((self.stored().document, self.stored().revision), (document(), 1))

    def test_no_such_job(self) -> None:
        for number in ("999", "0", "-3", str(2**70)):
            for tail in ("", "/bench", "/job.json", "/sheet.pdf"):
                with self.subTest(number=number, tail=tail):
                    answer = self.client.get(f"/api/jobs/{number}{tail}")
                    self.told(answer, 404)
                    self.assertIn(f"job {number}", answer.json()["detail"])
        self.told(self.client.get("/api/jobs/abc"), 422)

    def test_what_was_typed_comes_back_as_it_was(self) -> None:
        typed = document({"part.stock.across": " 12,7 mm ", "title": "Größe “3/8” <b>x</b>"})
        number = self.send("POST", "/api/jobs", typed).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{number}")["document"], typed)


class HoldingAndClosing(ApiCase):
    def test_held_until_taken_up_again(self) -> None:
        self.told(self.act("hold", reason=" "), 422)
        self.act("hold", reason="a new die")
        self.assertEqual(self.jobs()[0]["state"], "held")
        self.act("release")
        self.assertEqual(self.jobs()[0]["state"], "planned")

    def test_a_long_reason_is_kept_whole_or_refused(self) -> None:
        self.act("hold", reason="x" * 2000)
        self.assertEqual(len(self.stored().held), 2000)
        self.told(self.act("hold", reason="x" * 2001), 422)

    def test_work_takes_a_held_job_up(self) -> None:
        self.act("hold", reason="a new die")
        self.record("done")
        self.assertEqual(self.stored().held, "")

    def test_closing_wants_gauging_or_a_reason(self) -> None:
        self.assertEqual(self.told(self.act("close"), 422), {"reason": "needs-reason"})
        self.assertIsNone(self.stored().closed_at)
        answer = self.act("close", reason="drawing withdrawn")
        self.assertEqual(answer.json()["state"], "closed")
        self.assertEqual(self.stored().closed, "drawing withdrawn")

    def test_a_finished_and_gauged_job_closes_without_words(self) -> None:
        self.send("PUT", self.url(), {"document": document({"quantity": 1}), "revision": 1})
        self.walk_to("part-off")
        self.record("done")
        self.assertEqual(self.act("close").status_code, 200)
        self.assertEqual(self.stored().closed, "all pieces made and gauged")

    def test_a_closed_job_stays_as_it_is_until_opened(self) -> None:
        self.act("close", reason="enough")
        for answer in (
            self.record("done"),
            self.send("PUT", self.url(), {"document": document(), "revision": 1}),
            self.act("undo"),
            self.act("hold", reason="x"),
            self.act("close", reason="twice"),
        ):
            self.assertEqual(self.told(answer, 409), {"job": "closed"})
        self.act("reopen")
        self.assertEqual(self.record("done").status_code, 200)

    def test_a_bench_that_an_earlier_version_closed_is_whole(self) -> None:
        """What it did not tell is told as nothing: a screen looks for all of it."""
        self.walk_to("turn:s1")
        now = self.get(self.url("/bench"))
        self.act("close", reason="enough")
        kept = ClosedAnswer.objects.get(job=self.job, name=BENCH)
        told = orjson.loads(zlib.decompress(kept.content))
        later = ("sizes", "lessons", "count", "preset", "causes", "cause", "due", "sized")
        before = {key: value for key, value in told.items() if key not in later}
        before["step"] = {key: one for key, one in told["step"].items() if key not in ("dimensions", "inside")}
        kept.content = zlib.compress(orjson.dumps(before))
        kept.save()
        shown = self.get(self.url("/bench"))
        self.assertEqual(set(shown), set(now))
        self.assertEqual(set(shown["step"]), set(now["step"]))


class AsAKeystrokeAsks(ApiCase):
    """A plan at one step: the working of that step, and the bare figures of the others."""

    def test_the_working_of_the_step_that_is_looked_at(self) -> None:
        whole = self.send("POST", "/api/jobs/plan", document()).json()["operations"]
        asked = self.send("POST", "/api/jobs/plan?end=1&step=turn:s1", document()).json()["operations"]
        for all_of_it, one in zip(whole, asked, strict=True):
            here = one["key"] == "turn:s1"
            for told, bare in zip(all_of_it["figures"], one["figures"], strict=True):
                self.assertEqual((told["key"], told["figure"]["shown"]), (bare["key"], bare["figure"]["shown"]))
                self.assertEqual(told == bare, here or not (told["figure"]["formula"] or told["figure"]["inputs"]))
        unknown = self.send("POST", "/api/jobs/plan?end=1&step=dance", document()).json()["operations"]
        self.assertEqual(unknown, whole)


class NewJobs(ApiCase):
    TYPED = {
        "start": "stud",
        "unit": "in",
        "title": "Studs",
        "thread": "3/8-16",
        "quantity": "2",
        "material": "brass",
        "stock": "1/2",
        "threaded": "1",
        "overall": "2",
    }

    def test_a_few_sizes_start_a_job(self) -> None:
        made = self.send("POST", "/api/jobs/new", {"typed": self.TYPED})
        self.assertEqual(made.status_code, 201, made.content[:300])
        document = made.json()["document"]
        self.assertEqual((document["method"]["holder"], document["setup"]["groove_blade"]), ("sliding-by-hand", "1/8"))
        self.assertIn("Turn the thread blank", [one["title"] for one in made.json()["plan"]["operations"]])

    def test_as_the_last_job_was_made(self) -> None:
        method = {"holder": "keyed-power", "percent": "60", "of an older program": "x"}
        made = self.send("POST", "/api/jobs/new", {"typed": self.TYPED, "method": method, "setup": document()["setup"]})
        told = made.json()["document"]["method"]
        self.assertEqual((told["holder"], told["percent"]), ("keyed-power", ""))

    def test_what_is_wrong_is_told_beside_what_was_typed(self) -> None:
        answer = self.send("POST", "/api/jobs/new", {"typed": {**self.TYPED, "thread": "3/8-17", "overall": ""}})
        self.assertEqual(self.told(answer, 422)["thread"], "ambiguous")
        unknown = self.send("POST", "/api/jobs/new", {"typed": {**self.TYPED, "start": "gear"}})
        self.assertEqual(self.told(unknown, 422).keys(), {"start"})
