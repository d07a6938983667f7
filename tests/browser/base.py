"""One server a class, one context a test; console errors and foreign requests fail the test."""

from __future__ import annotations

import json
import os
import re
import tempfile
import unittest
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any, ClassVar
from urllib.parse import urlsplit

from playwright.sync_api import Locator, Page, Request, expect

from tests.browser.chromium import browser
from tests.browser.server import Server

TO_THE_BENCH = re.compile("^(Start at the bench|Continue|Open the bench|Review and close)$")
"""The way to the bench, by how the job stands."""
ACTION_MS = int(os.environ.get("CONCH_ACTION_MS", "30000"))
#: A refused request is written to the console by the browser itself; the screen's answer to it is what is tested.
EXPECTED = (
    "status of 422",
    "status of 409",
    "status of 404",
    "status of 401",
    "status of 507",
    "ERR_FAILED",
    "ERR_CONNECTION_REFUSED",
    "ERR_CONNECTION_RESET",
    "ERR_EMPTY_RESPONSE",
    "ERR_INCOMPLETE_CHUNKED_ENCODING",
    "Service Worker registration blocked",
)


def choose(page: Page, label: str, option: str) -> None:
    """Choose from a list; a long one holds only what is in sight, and is rolled on."""
    page.get_by_role("combobox", name=label, exact=True).press("Enter")
    listed = page.get_by_role("listbox")
    listed.hover()
    # It opens at what is chosen now, and shows its rows a moment after itself.
    expect(listed.get_by_role("option").first).to_be_visible()
    page.mouse.wheel(0, -10_000)
    page.wait_for_timeout(50)
    wanted = listed.get_by_text(option, exact=True)
    for _ in range(20):
        if wanted.count():
            break
        page.mouse.wheel(0, 200)
        page.wait_for_timeout(50)
    wanted.click()


def type_into(field: Locator, text: str) -> None:
    """Put `text` in a field in place of what is there, by a press and by keys, as a person does."""
    field.click()
    field.press("ControlOrMeta+a")
    if text:
        field.press_sequentially(text)
    else:
        field.press("Delete")


class BrowserCase(unittest.TestCase):
    """Base of the browser tests."""

    empty: ClassVar[bool] = False
    more: ClassVar[tuple[str, ...]] = ()
    own_hosts: ClassVar[tuple[str, ...]] = ("127.0.0.1",)
    size: ClassVar[tuple[int, int]] = (1280, 800)
    server: ClassVar[Server]

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        folder = tempfile.TemporaryDirectory(prefix="conch-browser-")
        cls.addClassCleanup(folder.cleanup)
        cls.server = Server(Path(folder.name), empty=cls.empty, more=cls.more, short_lived=True)
        cls.server.start()
        cls.addClassCleanup(cls.server.end)

    def setUp(self) -> None:
        self.errors: list[str] = []
        self.hosts: set[str] = set()
        self.page = self.new_page()

    def tearDown(self) -> None:
        self.assertEqual(self.errors, [], "the browser's console holds errors")
        own = {f"{host}:{self.server.port}" for host in self.own_hosts}
        self.assertLessEqual(self.hosts, own, "a request went to another host")

    def new_page(self, size: tuple[int, int] | None = None, **more: Any) -> Page:
        """A page in a context of its own, watched."""
        width, height = size or self.size
        # Nothing glides: what is tried is where things come to rest, and gliding takes half of the processor.
        # The installed page is a test of its own: elsewhere every request is seen to go to the server.
        place = {"base_url": self.server.url, "reduced_motion": "reduce", "service_workers": "block"} | more
        context = browser().new_context(viewport={"width": width, "height": height}, **place)
        self.addCleanup(context.close)
        context.set_default_timeout(ACTION_MS)
        expect.set_options(timeout=ACTION_MS)
        page = context.new_page()
        page.on("console", lambda m: self._console(m.type, m.text))
        page.on("pageerror", lambda error: self.errors.append(str(error)))
        page.on("request", self._request)
        return page

    @contextmanager
    def answered(self, to: str | re.Pattern[str], page: Page | None = None) -> Iterator[None]:
        """Until an act is answered, and the bench has taken the answer in: what is pressed before that is not taken."""
        page = page or self.page
        with page.expect_response(to):
            yield
        expect(page.locator(".bench[aria-busy=true]")).to_have_count(0)

    def drawn(self, page: Page | None = None) -> None:
        """Until what follows from an act or a size of the screen is drawn: two frames, however long they take."""
        (page or self.page).evaluate("new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))")

    def resize(self, width: int, height: int, page: Page | None = None) -> None:
        """A screen of another size (px), and what is drawn to the measure of its place drawn again."""
        (page or self.page).set_viewport_size({"width": width, "height": height})
        self.drawn(page)

    def enter(self) -> None:
        """Enter on the large button of the bench, once its words could be read."""
        button = self.page.locator("form.act button[type=submit]")
        expect(button).to_be_enabled()
        expect(button).to_be_focused()
        self.page.keyboard.press("Enter")

    def post(self, path: str, body: Any, *, method: str = "POST") -> Any:
        """The JSON of what a page's act answers; the page must be open."""
        [token] = [cooky["value"] for cooky in self.page.context.cookies() if cooky["name"] == "csrftoken"]
        headers = {"Content-Type": "application/json", "X-CSRFToken": token, "Referer": self.server.url}
        answer = self.page.request.fetch(path, method=method, data=json.dumps(body), headers=headers)
        self.assertTrue(answer.ok, answer.text())
        return answer.json()

    def end_step(self, job: int, now: Any) -> None:
        """End the step in hand of a job whose bench stands at `now`, without a reading: its zero is found, it is done,
        or it will do as it is."""
        said: dict[str, str] = {"kind": "done"}
        if now["zero"]:
            said = {"kind": "zero"} | ({"keeps": "kept"} if now["asks_keeping"] else {})
        elif now["hindrance"]:
            said = {"kind": "accept", "reason": "not tried"}
        stands = {"last": now["last"], "revision": now["revision"], "step": now["step"]["key"]}
        self.post(f"/api/jobs/{job}/entries", stands | said)

    def _console(self, kind: str, text: str) -> None:
        if kind in ("error", "warning") and not any(part in text for part in EXPECTED):
            self.errors.append(f"{kind}: {text}")

    def _request(self, request: Request) -> None:
        url = urlsplit(request.url)
        if url.scheme in ("http", "https", "ws", "wss"):
            self.hosts.add(url.netloc)

    def start_job(self, shape: str, typed: dict[str, str]) -> None:
        """Start a job from its picture, to the plan."""
        self.page.goto("/")
        self.page.get_by_role("button", name="New job").click()
        self.page.get_by_role("radio", name=shape).click()
        expect(self.page.get_by_role("textbox", name="Name of the job")).to_have_value("")
        self.fill_job(typed)
        self.page.get_by_role("button", name="Show the plan").click()
        expect(self.page).to_have_title(re.compile(", plan · Conch$"))
        for name, wait in (("Tools and stock", "checking the shop"), ("Methods", "comparing methods")):
            expect(self.page.get_by_role("region", name=name, exact=True).get_by_text(wait)).to_have_count(0)

    def open_facts(self, name: str) -> None:
        """Open a sentence of the plan into its fields."""
        head = self.page.get_by_role("region", name=name, exact=True).get_by_role("button", name=name, exact=True)
        if head.get_attribute("aria-expanded") == "false":
            head.click()

    def open_papers(self, page: Page | None = None) -> None:
        """The papers and the end of the job in sight, on its plan."""
        papers = (page or self.page).get_by_role("button", name="Papers", exact=True)
        expect(papers).to_be_visible()
        if papers.get_attribute("aria-expanded") == "false":
            papers.click()

    def choose(self, label: str, option: str) -> None:
        """Choose from a list, by its label and the words of the choice."""
        choose(self.page, label, option)

    def field(self, name: str) -> Locator:
        """A field by its label; what the part is made up of is opened first."""
        for row, place in (("Section ", "Sections"), ("Overall length", "Sections"), ("Hole ", "Holes")):
            if name.startswith(row):
                self.open_facts(place)
        return self.page.get_by_role("textbox", name=name, exact=True)

    def fill_job(self, typed: dict[str, str]) -> None:
        """Fill the form that starts a job, by its labels."""
        form = self.page.get_by_role("form", name="New job")
        for label, value in typed.items():
            field = form.get_by_role("textbox", name=label, exact=True)
            type_into(field, value)
            expect(field).to_have_value(value)
