"""What becomes of what went wrong, why, and that it is told when a like step comes up again."""

from __future__ import annotations

from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase


class Lessons(ApiCase):
    def test_a_scrapped_piece_is_a_lesson_at_the_next_step_like_it(self) -> None:
        self.walk_to("turn:s1")
        told = self.record("scrap", reason="4 thou under", disposition="scrap", why="dial")
        self.assertEqual(told.status_code, 200, told.content)
        entry = Entry.objects.order_by("pk").last()
        assert entry is not None
        self.assertEqual((entry.word, entry.why), ("scrap", "dial"))
        self.assertEqual(told.json()["lessons"], [], "another kind of step comes first")
        self.walk_to("turn:s1")
        [lesson] = self.get(self.url("/bench"))["lessons"]
        self.assertEqual((lesson["mistake"], lesson["said"], lesson["piece"]), ("the dial misread", "4 thou under", 1))
        self.assertIn("aloud", lesson["check"])
        self.job = start_job(document({"material": "brass"}))
        self.walk_to("turn:s1")
        self.assertEqual(self.get(self.url("/bench"))["lessons"], [], "another metal")

    def test_a_step_is_done_again(self) -> None:
        self.walk_to("turn:s1")
        self.record("reading", reading="0.45")
        now = self.record("again", reason="chatter", disposition="rework", why="tool").json()
        self.assertEqual((now["step"]["key"], now["piece"], now["sizes"][0]["readings"]), ("turn:s1", 1, []))

    def test_the_page_counts_by_mistake_and_tool(self) -> None:
        for _ in range(2):
            self.walk_to("turn:s1")
            self.record("scrap", reason="under", disposition="scrap", why="dial")
        self.walk_to("turn:s1")
        self.record("accept", reason="shows a mark", disposition="cosmetic", why="tool")
        told = self.get("/api/log/lessons")
        made = [one["mistake"] for one in told["lessons"]]
        self.assertEqual(made, ["a dull or broken tool", "the dial misread", "the dial misread"])
        self.assertEqual(told["by_mistake"][0], {"name": "the dial misread", "count": 2})
        self.assertEqual(told["by_tool"][0]["count"], 3)
        self.act("delete")
        self.assertEqual(self.get("/api/log/lessons")["lessons"], [])

    def test_bad_choices_are_told_beside_their_field(self) -> None:
        self.walk_to("turn:s1")
        for more, field in (
            ({"disposition": "burn"}, "disposition"),
            ({"why": "moon"}, "why"),
            ({"reason": " "}, "reason"),
        ):
            with self.subTest(field):
                told = self.record("scrap", **({"reason": "under", "disposition": "scrap"} | more))
                self.assertIn(field, self.told(told, 422))
