"""Every view in its states, in both themes at three widths: accessible, nothing cut off, nothing off the side."""

from __future__ import annotations

import re
from collections.abc import Sequence
from contextlib import suppress
from typing import Any

from axe_playwright_python.base import AXE_SCRIPT
from playwright.sync_api import Error, Route, expect

from tests.browser.base import BrowserCase, type_into
from tests.long import draws

WIDTHS = ((1280, 800), (820, 1180), (390, 844))
ZOOMED = 320
OTHER_THEME = re.compile("^(dark|light) screen$", re.IGNORECASE)
CONTRAST_AT = draws((390,), (390, 1280))
"""Where contrast is looked at: whole pages differ from folded ones by their places, hardly by their inks."""
RULED_AT = draws((1280, 390), (1280, 820, 390))
"""Where all the other rules are."""
#: Contrast follows from the theme, and is far the dearest rule: it is looked at where a page is whole and where it is
#: folded, for one of each kind of text. All the other rules read what is on the page, which a theme does not change.
CONTRAST = "color-contrast"
RULES = ("wcag2a", "wcag2aa", "wcag21aa")
#: One of each kind of text: what is of one class and written alike on the same ground has the same contrast.
KINDS = """(() => {
  const ground = (at, said = []) => {
    for (; at; at = at.parentElement) {
      const { opacity, backgroundImage, backgroundColor } = getComputedStyle(at)
      said.push(opacity, backgroundImage, backgroundColor)
      if (backgroundColor.startsWith("rgb(")) break
    }
    return said
  }
  const says = e => e.value || e.placeholder || [...e.childNodes].some(one => one.nodeType === 3 && one.data.trim())
  const kinds = new Map()
  for (const e of document.body.querySelectorAll("*")) {
    if (!says(e) || !e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue
    const { color, fill, fontSize, fontWeight, textShadow } = getComputedStyle(e)
    const own = [!!e.value, e.disabled, color, fill, fontSize, fontWeight, textShadow]
    kinds.set([e.tagName, e.getAttribute("class"), ...own, ...ground(e)].join(), e)
  }
  return [...kinds.values()]
})"""
FOUND = f"""([options, kinds]) => axe.run(kinds ? {{ include: {KINDS}() }} : document, options).then(found =>
  found.violations.map(one => [one.id, ...one.nodes.slice(0, 4).map(node => node.html.slice(0, 160))]))"""
#: What holds more than it shows: fields narrower than their words, boxes one would have to scroll sideways.
CUT_OFF = """() => [...document.querySelectorAll("main *")]
  .filter(e => e.clientWidth > 1 && e.scrollWidth > e.clientWidth + 1)
  .filter(e => e.matches("input, textarea") || getComputedStyle(e).overflowX !== "visible")
  .map(e => `${e.tagName} ${e.value || e.textContent.trim() || e.className}`.slice(0, 80))"""
#: The innermost of what makes a page wider than the screen.
WIDER = """() => document.documentElement.scrollWidth <= innerWidth ? [] : [...document.querySelectorAll("body *")]
  .filter(e => e.getBoundingClientRect().right > innerWidth + 1)
  .filter(e => ![...e.children].some(one => one.getBoundingClientRect().right > innerWidth + 1))
  .map(e => `${e.tagName} ${e.getAttribute("class")} ${e.textContent.trim()}`.slice(0, 100))"""
JOBS = (
    "/",
    "/jobs/2",
    "/jobs/8",
    "/jobs/9?part=3",
    "/jobs/10",
    "/jobs/2/batch",
    "/jobs/999",
)
VIEWS = (
    "/week",
    "/new",
    "/new?as=plug",
    "/new?as=sample",
    "/new?as=repair",
    "/shop",
    "/holders?thread=3/8-16",
    "/gears?pitch=M6&leadscrew=8+tpi&gears=20,40,50,60,63,80",
    "/log",
    "/log?q=nothing+of+that+name",
    "/log/lessons",
    "/threads",
    "/threads?q=3/8-16&over=M10",
    "/threads?q=R1/2",
    "/threads?q=1-1/4-12",
    "/identify",
    "/upkeep",
    "/help",
    "/nowhere",
)


class Looked(BrowserCase):
    """Looks at a state; the demo's jobs, figures in millimetres, the longer ones."""

    def setUp(self) -> None:
        super().setUp()
        self.page.emulate_media(reduced_motion="reduce")
        self.page.goto("/")
        self.page.get_by_role("button", name="mm", exact=True).click()

    def look(self, name: str) -> None:
        """In both themes at each width: axe-core (WCAG 2 A and AA), what is cut off, what is off the side."""
        for again in (False, True):
            for width, height in WIDTHS:
                self.resize(width, height)
                theme = self.page.locator("html").get_attribute("data-theme")
                with self.subTest(name, theme=theme, width=width):
                    self.assertEqual(
                        self.found(contrast=width in CONTRAST_AT, rest=not again and width in RULED_AT), []
                    )
                    self.assertEqual(self.page.evaluate(CUT_OFF), [])
                    self.assertLessEqual(self.page.evaluate("document.documentElement.scrollWidth"), width)
            # A phone's bench has it under More.
            self.resize(*WIDTHS[0])
            self.page.get_by_role("button", name=OTHER_THEME).click()
        # Four times as large on a desk (WCAG 2.1, 1.4.10): nothing is scrolled sideways.
        self.resize(ZOOMED, 640)
        with self.subTest(name, width=ZOOMED):
            self.assertEqual(self.page.evaluate(WIDER), [])
        self.resize(*WIDTHS[0])

    def found(self, *, contrast: bool, rest: bool) -> list[Any]:
        """What axe-core finds wrong by its rule of `contrast` and by the `rest` of its rules: each rule and places."""
        if not self.page.evaluate("'axe' in window"):
            self.page.evaluate(AXE_SCRIPT)
        wrong: list[Any] = []
        if contrast:
            only = {"type": "rule", "values": [CONTRAST]}
            wrong += self.page.evaluate(FOUND, [{"runOnly": only, "resultTypes": ["violations"]}, True])
        if rest:
            options = {"runOnly": {"type": "tag", "values": RULES}, "rules": {CONTRAST: {"enabled": False}}}
            wrong += self.page.evaluate(FOUND, [{**options, "resultTypes": ["violations"]}, False])
        return wrong

    def look_at(self, addresses: Sequence[str]) -> None:
        """Each page, everything that folds away open."""
        for address in addresses:
            self.page.goto(address)
            self.page.wait_for_load_state("networkidle")
            expect(self.page.locator("main")).not_to_be_empty()
            self.page.evaluate("document.querySelectorAll('details').forEach(one => { one.open = true })")
            self.look(address)


class EveryJob(Looked):
    def test_every_view_of_a_job(self) -> None:
        self.look_at(JOBS)


class EveryView(Looked):
    def test_every_other_view(self) -> None:
        self.look_at(VIEWS)


class EveryDevice(Looked):
    more = ("--lan", "--address", "127.0.0.2")
    own_hosts = ("127.0.0.1", "127.0.0.2")

    def test_a_code_is_shown_and_a_tablet_asks_for_it(self) -> None:
        self.page.goto("/upkeep")
        self.page.get_by_role("button", name=re.compile("Let a tablet in|New code")).click()
        code = self.page.locator(".digits")
        expect(code).to_be_visible()
        digits = code.get_attribute("aria-label")
        self.look("upkeep, a code")
        self.page.goto("/jobs/2")
        self.open_papers()
        self.page.get_by_role("button", name="Open on a tablet").click()
        expect(self.page.get_by_role("img", name="QR code for")).to_be_visible()
        self.look("plan, its bench as a picture")
        self.page = self.new_page(base_url=self.server.url.replace("127.0.0.1", "127.0.0.2"))
        self.page.emulate_media(reduced_motion="reduce")
        self.page.goto(f"/pair#{digits}")
        self.page.get_by_role("button", name="Connect").click()
        expect(self.page.get_by_text("Give this device a name")).to_be_visible()
        for width, height in WIDTHS:
            self.resize(width, height)
            with self.subTest(width=width):
                self.assertEqual(self.found(contrast=True, rest=True), [])
                self.assertEqual(self.page.evaluate(CUT_OFF), [])


class Opened(Looked):
    def test_the_shop_with_a_thing_and_a_file_open(self) -> None:
        self.page.goto("/shop")
        self.page.get_by_role("button", name="engine room").click()
        self.page.get_by_role("button", name="Workshop lathe").click()
        table = "kind,thread,across,thick\ndie,M14,38 mm,14 mm\ndie,M6,9 mm,20 mm\n"
        self.page.get_by_label("Shop file").set_input_files(
            {"name": "dies.csv", "mimeType": "text/csv", "buffer": table.encode()}
        )
        expect(self.page.get_by_role("form", name="Items in dies.csv")).to_be_visible()
        self.look("shop, a lathe and a file")

    def test_a_plan_with_everything_open_and_something_wrong(self) -> None:
        self.page.goto("/jobs/2")
        for name in ("Sections", "Holes", "Tools and stock", "Process", "Lathe", "Use"):
            self.open_facts(name)
        self.look("plan, its sentences open")
        type_into(self.field("Section 1, length"), "9")
        expect(self.page.get_by_role("alert").first).to_be_visible()
        self.look("plan, a length that cannot be")


class EveryBench(Looked):
    def setUp(self) -> None:
        super().setUp()
        self.seen: set[str] = set()

    def test_every_state_of_the_bench(self) -> None:
        """From a caution unread through a batch of two to its end: each state as it comes for the first time."""
        page = self.page
        page.goto("/jobs/3/bench")
        expect(page.get_by_role("heading", level=1)).to_contain_text("Caution: read before you start")
        self.look("a caution to be read")
        page.goto("/jobs/5/bench")
        while (now := self.bench())["step"] is not None:
            self.go_on(now)
        self.new_state("finished")
        page.get_by_role("button", name="Close the job").click()
        expect(page).to_have_title(re.compile(", plan · Conch$"))
        page.goto("/jobs/5/bench")
        expect(page.get_by_text("This job is closed")).to_be_visible()
        self.new_state("closed")

    def test_an_entry_on_its_way(self) -> None:
        """The answer is held back: the button that sent it turns its ring, which has a name too."""
        held: list[Route] = []
        self.page.goto("/jobs/5/bench")
        self.page.route(re.compile("/entries$"), lambda route: held.append(route))
        self.page.locator("form button[type=submit]").click()
        expect(self.page.get_by_role("progressbar", name="Sending").first).to_be_visible()
        self.look("bench, an entry on its way")
        for route in held:
            # One that the page gave up waiting for is over already.
            with suppress(Error):
                route.continue_()

    def bench(self) -> Any:
        self.page.wait_for_load_state("networkidle")
        return self.page.request.get("/api/jobs/5/bench").json()

    def new_state(self, name: str) -> None:
        """Look at a state that was not met before."""
        if name not in self.seen:
            self.seen.add(name)
            self.look(f"bench, {name}")

    def press(self, name: str) -> None:
        with self.answered(re.compile("/entries$|/undo$")):
            self.page.get_by_role("button", name=name, exact=True).click()

    def ask(self, text: str) -> None:
        """Record a reading that is far from the expected one."""
        type_into(self.page.get_by_role("textbox", name="New reading"), text)
        self.press("Record")
        expect(self.page.get_by_role("alertdialog", name="Read it again")).to_be_visible()

    def read(self, text: str) -> None:
        type_into(self.page.get_by_role("textbox", name="New reading"), text)
        self.press("Record")

    def go_on(self, now: Any) -> None:
        """One step further, by the state that the bench is in."""
        step, page = now["step"], self.page
        expect(page.get_by_role("heading", level=1)).to_be_visible()
        if now["zero"]:
            self.new_state("which tools keep their zero" if now["asks_keeping"] else "touch off")
            self.press("Touched off. I touch off every time." if now["asks_keeping"] else "Tool touched off")
        elif step["measure"] == "diameter":
            aim = next(f for f in step["figures"] if f["key"] == step["headline"])["figure"]["shown"]["mm"]
            self.new_state("a diameter to be measured")
            if not now["sizes"][0]["readings"] and now["piece"] == 1:
                # A letter in an empty field is a key of the bench.
                type_into(page.get_by_role("textbox", name="New reading"), "9 or so")
                self.press("Record")
                self.new_state("a reading refused")
                self.read(f"{float(aim['text']) + 0.3:.3f} mm")
                self.new_state("oversize")
                small = f"{float(aim['text']) - 0.3:.3f} mm"
                self.ask(small)
                self.new_state("a reading asked about")
                self.press(f"It reads {small}")
                self.new_state("undersize")
                page.get_by_role("button", name="Give a reason, or scrap it").click()
                self.new_state("a reason asked for")
                page.get_by_role("button", name="Cancel").click()
                self.press("undo z")
            self.read(f"{aim['text']} mm")
            self.new_state("on size")
            self.press("Done")
        elif step["measure"] == "verdict":
            self.new_state("to be gauged")
            if now["piece"] == 1:
                self.press("2 starts, then binds")
                self.new_state("what else it may be")
                page.get_by_role("button", name="None of these: adjust the die").click()
                self.new_state("the die to be moved")
                self.press("Die adjusted")
                self.new_state("the die was moved")
            self.press("3 snug, turns by hand, no play")
            self.new_state("gauged well")
            self.press("Done")
        else:
            self.new_state("a step to be done")
            last = now["steps"][-1]["key"] == step["key"]
            self.press("Piece done" if last else "Done")
