"""A batch made holding by holding: each for all pieces, a piece taken up out of turn, the server gone between."""

from __future__ import annotations

import os
import signal
from typing import Any

from playwright.sync_api import expect

from lathework.tests.samples import TIE_ROD, document
from tests.browser.base import BrowserCase


class Holdings(BrowserCase):
    empty = True

    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        rods = document(TIE_ROD | {"quantity": 3, "setup.tools": "kept", "hazards": []})
        self.job = self.post("/api/jobs/import", rods)["id"]

    def bench(self) -> Any:
        return self.page.request.get(f"/api/jobs/{self.job}/bench").json()

    def go_to(self, piece: int, *, at_the_end: bool = False) -> None:
        """Tick off everything up to a piece, to the last step of its first holding where that is asked."""
        while True:
            now = self.bench()
            follows = next((one["key"] for one in now["steps"] if one["state"] == "to do"), "")
            ends = follows.startswith("hold")
            if now["piece"] == piece and not now["zero"] and (ends or not at_the_end):
                break
            self.end_step(self.job, now)
        self.page.goto(f"/jobs/{self.job}/bench")
        self.page.wait_for_load_state("networkidle")

    def by_holdings(self) -> None:
        """Chosen on the plan."""
        self.page.goto(f"/jobs/{self.job}")
        self.open_facts("Process")
        with self.page.expect_response(lambda answer: answer.request.method == "PUT"):
            self.choose("Batch order", "one set-up for all pieces")

    def test_each_holding_for_all_pieces(self) -> None:
        page = self.page
        self.by_holdings()
        self.go_to(1, at_the_end=True)
        first = page.get_by_role("heading", level=1).inner_text()
        page.keyboard.press("3")
        page.get_by_role("button", name="Done", exact=True).click()
        expect(page.get_by_text("piece 2 · 0 of 3 made")).to_be_visible()
        expect(page.get_by_role("heading", level=1)).not_to_have_text(first)
        page.get_by_role("button", name="Continue piece 1").click()
        expect(page.get_by_text("piece 1 · 0 of 3 made")).to_be_visible()
        expect(page.get_by_role("heading", level=1)).to_contain_text("Turn the piece end for end")
        page.keyboard.press("z")
        expect(page.get_by_text("piece 2 · 0 of 3 made")).to_be_visible()

    def test_a_piece_is_put_down_for_another(self) -> None:
        self.go_to(1)
        self.page.get_by_role("button", name="accept, redo or scrap").click()
        self.page.get_by_role("button", name="Put this piece down, start piece 2").click()
        expect(self.page.get_by_text("piece 2 · 0 of 3 made")).to_be_visible()
        expect(self.page.get_by_role("navigation", name="Pieces put down")).to_contain_text("1")

    def test_the_next_piece_is_known_while_the_server_is_away(self) -> None:
        page = self.page
        self.by_holdings()
        self.go_to(1, at_the_end=True)
        assert self.server.process is not None
        os.kill(self.server.process.pid, signal.SIGKILL)
        self.server.stop()
        page.keyboard.press("3")
        page.get_by_role("button", name="Done", exact=True).click()
        expect(page.get_by_text("piece 2 · 0 of 3 made")).to_be_visible()
        begun = page.get_by_role("heading", level=1).inner_text()
        page.get_by_role("button", name="Done").first.click()
        expect(page.get_by_role("region", name="Not sent yet")).to_contain_text("3 records are saved")
        self.server.start()
        expect(page.get_by_role("region", name="Not sent yet")).to_have_count(0)
        now = self.bench()
        self.assertEqual((now["piece"], [one["piece"] for one in now["waiting"]]), (2, [1]))
        self.assertNotEqual(now["step"]["sentence"], begun)
