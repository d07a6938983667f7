"""A batch with the stand-ins, from the first cut to the log; faults that are noticed; a reference piece."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from playwright.sync_api import expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase, choose, type_into
from tests.long import draws

MOST_LOOKS = 600
PIECES = draws(2, 4)
OVER_MM = 0.6
"""What a piece measures over the size that is aimed at, the first time it is measured."""


class Instruments(BrowserCase):
    empty = True

    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        screws = document(SCREW | {"quantity": PIECES, "setup.tools": "kept"})
        self.job = self.post("/api/jobs/import", screws)["id"]
        self.page.goto(f"/jobs/{self.job}/bench")
        self.post("/api/instruments/stand-in", {"do": "off"})
        # The stream has begun when it answers: what is sent from then on arrives.
        with self.page.expect_response("**/live"):
            self.page.get_by_role("button", name="instruments").click()

    def bench(self) -> Any:
        return self.page.request.get(f"/api/jobs/{self.job}/bench").json()

    @contextmanager
    def recorded(self) -> Iterator[None]:
        """Wait for what is done meanwhile to be stored: an answer may come twice, an entry is stored once."""
        before = self.bench()["last"]
        yield
        for _ in range(MOST_LOOKS):
            if self.bench()["last"] > before:
                return
            self.page.wait_for_timeout(50)
        self.fail("nothing was recorded")

    def done(self, name: str) -> None:
        with self.recorded():
            self.page.get_by_role("button", name=name, exact=True).click()

    def measured(self, mm: float) -> None:
        """The key of the caliper is pressed on a piece that is so large."""
        with self.recorded():
            self.post("/api/instruments/stand-in", {"do": "send", "value": f"{mm:.4f}"})

    def turned(self, now: Any) -> None:
        """Cut as asked until it is on size: the piece takes what was dialled, all but a hundredth of it."""
        aim = now["sizes"][0]["cut"]["left"]
        [at] = [one["aim"]["mm"]["text"] for one in now["step"]["dimensions"] if one["measured"] == "diameter"]
        self.assertIsNotNone(aim)
        size = float(at) + OVER_MM
        self.measured(size)
        for _ in range(6):
            cut = self.bench()["sizes"][0]["cut"]
            if cut["state"] == "on-size":
                break
            size -= 0.99 * float(cut["dial"]["shown"]["mm"]["text"])
            self.measured(size)
        expect(self.page.get_by_text("On size")).to_be_visible()

    def test_a_batch_from_the_first_cut_to_the_log(self) -> None:
        page = self.page
        for piece in range(1, PIECES + 1):
            while True:
                now = self.bench()
                if now["step"] is None or now["piece"] > piece:
                    break
                expect(page.get_by_role("heading", level=1)).to_contain_text(
                    now["step"]["sentence"].split("{")[0].strip()
                )
                if now["zero"]:
                    self.done("Tool touched off")
                elif now["step"]["measure"] == "diameter":
                    self.turned(now)
                    self.done("Done")
                elif now["step"]["measure"] == "verdict" and now["due"]["now"] and not now["verdict"]:
                    self.done("3 snug, turns by hand, no play")
                else:
                    last = now["steps"][-1]["key"] == now["step"]["key"]
                    ungauged = now["step"]["measure"] == "verdict" and not now["verdict"]
                    self.done("Piece done" if last else "Step done, not gauged" if ungauged else "Done")
        with page.expect_response("**/close"):
            page.get_by_role("button", name="Close the job").click()
        standing = page.request.get(f"/api/jobs/{self.job}/standing").json()
        self.assertEqual((standing["state"], standing["good"]), ("closed", PIECES))
        readings = page.request.get(f"/api/jobs/{self.job}/readings.csv").text()
        self.assertIn("simulated caliper", readings)
        page.goto("/log")
        choose(page, "Show", "readings")
        expect(page.get_by_text("measured").first).to_be_visible()

    def test_the_distance_to_go_and_what_is_not_believed(self) -> None:
        page = self.page
        self.done("Done")
        page.get_by_text("Sound, reference piece, simulated instruments").click()
        page.get_by_role("button", name="Start the simulated instruments").click()
        live = page.get_by_role("region", name="Instruments")
        type_into(page.get_by_label("preset value, in"), "0.4475")
        page.get_by_role("button", name="Preset X").click()
        expect(live).to_contain_text("nearly there")
        # 0.4475 of the 7/16 that it is to be: 0.010 to go, give or take what the stand-in strays.
        self.assertAlmostEqual(float(live.locator(".go").first.inner_text()), 0.010, delta=0.001)
        type_into(page.get_by_label("jog by, in"), "0.02")
        page.get_by_role("button", name="X −").click()
        expect(live).to_contain_text("past the target")
        choose(page, "simulate a fault", "a digit jumps")
        expect(live.get_by_role("alert")).to_contain_text("jumped")
        choose(page, "simulate a fault", "it stops sending")
        expect(live.get_by_role("alert")).to_contain_text("No new reading")

    def test_a_reference_piece(self) -> None:
        page = self.page
        self.done("Done")
        page.get_by_text("Sound, reference piece, simulated instruments").click()
        page.get_by_role("button", name="Start the simulated instruments").click()
        page.get_by_role("button", name="Check an instrument on a reference piece").click()
        type_into(page.get_by_label("size of the reference piece, in"), "25 mm")
        for _ in range(3):
            type_into(page.get_by_label("caliper reading, in"), "24.95 mm")
            with page.expect_response("**/stand-in"):
                page.get_by_role("button", name="Send the reading").click()
        expect(page.get_by_text("24.9").first).to_be_visible()
        page.get_by_role("button", name="Save the correction").click()
        expect(page.get_by_role("status").filter(has_text="simulated caliper")).to_contain_text(
            "is now added to every reading"
        )
        self.assertEqual(self.bench()["sizes"][0]["readings"], [], "no reading of the step")
        [known] = [one for one in page.request.get("/api/instruments").json() if one["source"] == "caliper"]
        self.assertAlmostEqual(float(known["correction"]["mm"]["text"]), 0.05, delta=0.01)
