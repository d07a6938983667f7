"""The bench at every size: a desk, a tablet either way up, a phone, and what a keyboard leaves of them.

Nothing is scrolled to: the figure, the field and what is pressed are in sight in every state that a job comes through,
and under a finger everything that is pressed is large enough for a thumb.
"""

from __future__ import annotations

from typing import Any

from playwright.sync_api import Page, expect

from tests.browser.base import BrowserCase
from tests.long import draws

DESK = (1280, 800)
TOUCHED = ((1180, 820), (820, 1180), (390, 844))
#: What an on-screen keyboard leaves of the three, which take a third to a half of the height.
UNDER_A_KEYBOARD = ((1180, 440), (820, 820), (390, 508))
JOBS = draws((5,), (2, 3, 5, 7, 8, 9))
"""Of the demo: a thread by a die, with its nut; in a campaign every job in work, with holes, taps, flats and fits."""
THUMB_PX = 56
#: Presses of the bench that are no words of a line: their names and what each is tall.
PRESSED = """() => [...document.querySelectorAll(".bench button, .bench a.key, .bench input, .bench .v-field")]
  .filter(e => e.checkVisibility() && !e.closest(".value, .part, .inline, nav, .v-field__input, h1, a.job"))
  .filter(e => !(e.matches("input") && e.closest("label, .v-field")) && !e.matches(".big, .value, .plain"))
  .map(e => [e.innerText.trim() || e.getAttribute("aria-label") || e.className, e.getBoundingClientRect().height])"""
OVER = "() => document.documentElement.scrollHeight - innerHeight"
#: What is out of sight, or not there at all, of the things that a reading needs; some steps have no figure.
HIDDEN = """() => [".bench-figure .big", ".reading input", ".act .go"].filter(name => {
  const one = document.querySelector(name)
  if (!one) return name !== ".bench-figure .big"
  const at = one.getBoundingClientRect()
  return !one.checkVisibility() || at.top < 0 || at.bottom > innerHeight + 1 || at.right > innerWidth + 1
})"""


class AtEverySize(BrowserCase):
    """Walks jobs of the demo, by the server's own acts, and looks at each state as it comes for the first time."""

    def setUp(self) -> None:
        super().setUp()
        self.seen: set[tuple[Any, ...]] = set()

    def now(self, job: int) -> Any:
        return self.page.request.get(f"/api/jobs/{job}/bench").json()

    def act(self, job: int, now: Any, **said: Any) -> None:
        stands = {"last": now["last"], "revision": now["revision"], "step": now["step"]["key"]}
        self.post(f"/api/jobs/{job}/entries", stands | said)

    def states(self, job: int) -> Any:
        """Each state of the bench of a job that was not met before, from where it stands to its end."""
        while (now := self.now(job))["step"] is not None:
            step = now["step"]
            kind = (
                step["key"].split(":")[0],
                bool(now["zero"]),
                bool(now["preset"]),
                len(now["sizes"]),
                step["passes"] != [],
            )
            if kind not in self.seen:
                self.seen.add(kind)
                yield " ".join(str(one) for one in kind)
                if step["measure"] == "verdict" and now["piece"] == 1:
                    yield from self.gauged(job)
                    now = self.now(job)
            if now["unread"]:
                self.act(job, now, kind="read")
            else:
                self.end_step(job, self.now(job))

    def gauged(self, job: int) -> Any:
        """A thread that binds, and what it may bind for."""
        self.act(job, self.now(job), kind="verdict", verdict="binds")
        yield "a nut that binds"

    def open(self, size: tuple[int, int], *, touched: bool) -> Page:
        page = self.new_page(size, has_touch=touched)
        page.goto("/")
        return page

    def test_nothing_is_scrolled_to(self) -> None:
        self.page.goto("/")
        desk, hand = self.open(DESK, touched=False), self.open(TOUCHED[0], touched=True)
        for job in JOBS:
            for state in self.states(job):
                for page in (desk, hand):
                    page.goto(f"/jobs/{job}/bench")
                    expect(page.get_by_role("heading", level=1)).to_be_visible()
                    page.wait_for_load_state("networkidle")
                with self.subTest(job=job, state=state):
                    self.assertEqual([*self.wrong(desk, DESK), *self.in_hand(hand)], [])

    def wrong(self, page: Page, size: tuple[int, int]) -> list[Any]:
        """What is out of sight at a size (pixels)."""
        self.resize(*size, page)
        over = page.evaluate(OVER)
        return [(size, f"{over} px to scroll")] if over > 0 else []

    def in_hand(self, page: Page) -> list[Any]:
        """What is out of sight, or too small, where it is touched; with the keyboard up where something is typed."""
        wrong: list[Any] = []
        for size in TOUCHED:
            wrong += self.wrong(page, size)
            wrong += [(size, name, px) for name, px in page.evaluate(PRESSED) if px < THUMB_PX - 0.5]
        if page.locator(".reading input").is_visible():
            for size in UNDER_A_KEYBOARD:
                self.resize(*size, page)
                wrong += [(size, "out of sight", one) for one in page.evaluate(HIDDEN)]
        return wrong
