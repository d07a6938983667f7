"""At the bench: a bore, a groove, a shoulder and a hexagon measured; readings that an instrument types by itself."""

from __future__ import annotations

from typing import Any

from playwright.sync_api import expect

from lathework.tests.samples import PLUG, bore, document
from tests.browser.base import BrowserCase, type_into

GLAND: dict[str, Any] = PLUG | {
    "title": "Gland, fog-signal air line",
    "quantity": 2,
    "part.bores": [bore(across="0.3", depth="5/8", cut="boring-tool"), bore("3/8-16", depth="3/8", end="left")],
    "hazards": [],
}
#: The keys of an instrument, 5 ms apart by its own clock: how fast the machine is makes no difference.
TYPED_AT_ONCE = """text => {
  const began = performance.now();
  [...text, 'Enter'].forEach((key, place) => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
    Object.defineProperty(event, 'timeStamp', { value: began + 5 * place })
    document.body.dispatchEvent(event)
  })
}"""
#: Longer than a digit waits for the next one (ms).
LONG_AFTER = 150


class Measured(BrowserCase):
    empty = True

    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        self.job = self.post("/api/jobs/import", document(GLAND))["id"]

    def bench(self) -> Any:
        return self.page.request.get(f"/api/jobs/{self.job}/bench").json()

    def go_to(self, kind: str) -> Any:
        """Tick off everything before the first step of that kind, and open the bench there."""
        while True:
            now = self.bench()
            if not now["zero"] and now["step"]["key"].startswith(kind):
                break
            self.end_step(self.job, now)
        self.page.goto(f"/jobs/{self.job}/bench")
        return now

    def read(self, text: str) -> None:
        type_into(self.page.get_by_role("textbox", name="New reading"), text)
        with self.answered("**/entries"):
            self.page.get_by_role("button", name="Record", exact=True).click()

    def look_at(self, size: str) -> None:
        self.page.get_by_role("button", name=size).click()

    def test_a_shoulder_a_groove_and_a_hexagon(self) -> None:
        """1/2-13: groove 0.5 - (1.0825 + 0.2)/13 = 0.4013, 3/13 = 0.2308 wide; half of 0.012 off each of two flats."""
        page = self.page
        self.go_to("groove")
        expect(page.get_by_text("groove diameter").first).to_be_visible()
        self.read("0.45")
        expect(page.locator(".big .fig").first).to_have_text("0.0487")
        self.read("0.4013")
        expect(page.get_by_text("On size")).to_be_visible()
        self.look_at("width as cut")
        self.read("0.20")
        expect(page.locator(".bench-figure").get_by_text("face off along the bed")).to_be_visible()
        self.read("0.2310")
        expect(page.get_by_text("On size")).to_be_visible()
        self.go_to("flats")
        self.look_at("across the flats")
        self.read("0.762")
        expect(page.locator(".bench-figure").get_by_text("take off each of the two faces")).to_be_visible()
        expect(page.locator(".big .fig").first).to_have_text("0.0060")
        self.read("0.750")
        expect(page.get_by_text("On size")).to_be_visible()
        page.get_by_role("button", name="Done").or_(page.get_by_role("button", name="Piece done")).first.click()
        expect(page.get_by_text("On size")).to_have_count(0)
        page.goto("/log")
        self.choose("Show", "readings")
        expect(page.get_by_text("measured across the flats").first).to_be_visible()

    def test_a_bore_is_opened_to_its_size_and_not_past_it(self) -> None:
        page = self.page
        self.go_to("drill")
        expect(page.get_by_text("hole as drilled").first).to_be_visible()
        self.read("0.31")
        expect(page.get_by_text("Oversize")).to_be_visible()
        expect(page.get_by_role("button", name="Give a reason, or scrap it")).to_be_visible()
        page.keyboard.press("z")
        expect(page.get_by_text("Oversize")).to_have_count(0)
        self.read("0.302")
        expect(page.get_by_text("On size")).to_be_visible()

    def test_a_thread_is_tried_with_rings_and_then_measured(self) -> None:
        """The go ring stops; the causes are gone through; a thread micrometer reads 1/2-13 2A, 0.4435 to 0.4485."""
        page = self.page
        self.go_to("gauge")
        self.choose("gauge with", "go and no-go rings")
        expect(page.get_by_text("turn by hand, do not force")).to_be_visible()
        with self.answered("**/entries"):
            page.keyboard.press("1")
        expect(page.get_by_text("go gauge stops").last).to_be_visible()
        expect(page.get_by_text("Check 1 of")).to_be_visible()
        with self.answered("**/entries"):
            page.keyboard.press("2")
        expect(page.get_by_text("go gauge goes on, no-go stops").last).to_be_visible()
        self.choose("gauge with", "thread micrometer")
        field = page.get_by_label("thread micrometer, in")
        type_into(field, "0.5")
        page.get_by_role("button", name="Record the reading").click()
        expect(page.get_by_text("Is your reading right?").first).to_be_visible()
        expect(field).to_have_value("0.5")
        type_into(field, "0.4460")
        with self.answered("**/entries"):
            page.get_by_role("button", name="Record the reading").click()
        expect(page.get_by_text("measured: in its class")).to_be_visible()
        self.assertEqual(self.bench()["tried"], "thread-micrometer")

    def test_an_instrument_that_types(self) -> None:
        """Digits that come faster than a hand types, ended by Enter: never the key of a verdict."""
        page = self.page
        self.go_to("turn")
        page.get_by_role("heading", level=1).click()
        page.evaluate("document.activeElement.blur()")
        with self.answered("**/entries"):
            page.evaluate(TYPED_AT_ONCE, "0.6213")
        [first, *_] = self.bench()["sizes"]
        self.assertEqual(first["readings"][-1]["reading"]["inch"]["text"], "0.6213")
        now = self.go_to("gauge")
        figures = {one["key"]: one["figure"]["shown"]["inch"]["text"] for one in now["step"]["figures"]}
        middle = (float(figures["wires_least"]) + float(figures["wires_most"])) / 2
        expect(page.get_by_role("button", name="snug")).to_be_visible()
        with self.answered("**/entries"):
            page.evaluate(TYPED_AT_ONCE, f"{middle:.3f}2")
        # The last digit is the key of a verdict, too: it is not pressed afterwards.
        page.wait_for_timeout(LONG_AFTER)
        self.assertEqual(self.bench()["verdict"]["code"], "size-in")
        with self.answered("**/undo"):
            page.keyboard.press("z")
        expect(page.get_by_role("button", name="snug")).to_be_enabled()
        with self.answered("**/entries"):
            page.keyboard.press("3")
        self.assertEqual(self.bench()["verdict"]["code"], "snug")
