"""Two machines at one Conch: the host, and a tablet that is let in, looks on, works and is let go again."""

from __future__ import annotations

import re
import ssl
import tempfile
import zipfile
from pathlib import Path
from typing import ClassVar

import trustme
from playwright.sync_api import Page, expect

from tests.browser.base import BrowserCase, type_into

THERE = "127.0.0.2"
"""Another address of this machine: it stands for the one that the network knows it by."""


class Networked(BrowserCase):
    own_hosts = ("127.0.0.1", THERE)
    more: ClassVar[tuple[str, ...]] = ("--lan", "--address", THERE)

    def tablet(self) -> Page:
        """A page on another machine."""
        return self.new_page((820, 1180), base_url=self.server.url.replace("127.0.0.1", THERE))

    def code(self, role: str = "") -> str:
        """Ask on the host for a code, for a device of that role."""
        self.page.goto("/upkeep")
        if role:
            self.choose("Access", role)
        shown = self.page.locator(".digits")
        before = shown.get_attribute("aria-label") if shown.count() else ""
        with self.page.expect_response("**/devices/code"):
            self.page.get_by_role("button", name=re.compile("Let a tablet in|New code")).click()
        expect(shown).not_to_have_attribute("aria-label", before or "none yet")
        return str(shown.get_attribute("aria-label"))

    def pair(self, page: Page, code: str, name: str) -> None:
        type_into(page.get_by_label("Code"), code)
        type_into(page.get_by_label("Name for this device"), name)
        page.get_by_role("button", name="Connect").click()


class Tablet(Networked):
    def test_a_tablet_is_let_in_records_and_is_let_go(self) -> None:
        tablet = self.tablet()
        tablet.goto("/jobs/2/bench")
        expect(tablet.get_by_role("heading", level=1)).to_have_text("Connect this device")
        code = self.code()
        self.pair(tablet, "1234", "bench tablet")
        expect(tablet.get_by_text("Wrong code")).to_be_visible()
        expect(tablet.get_by_label("Name for this device")).to_have_value("bench tablet")
        self.pair(tablet, code, "bench tablet")
        field = tablet.get_by_role("textbox", name="New reading")
        type_into(field, "0.5050")
        with self.answered("**/entries", tablet):
            field.press("Enter")
        self.page.goto("/log")
        self.choose("Show", "readings")
        expect(self.page.get_by_role("row").filter(has_text="0.5050")).to_contain_text("on bench tablet")
        self.page.goto("/upkeep")
        self.page.get_by_role("button", name="Remove bench tablet").click()
        self.page.get_by_role("button", name="Remove", exact=True).click()
        expect(self.page.get_by_role("listitem").filter(has_text="bench tablet")).to_have_count(0)
        type_into(field, "0.5049")
        field.press("Enter")
        expect(tablet.get_by_role("heading", level=1)).to_have_text("Connect this device")
        # What it recorded at that moment waits on it, and is sent when it is let in again.
        self.pair(tablet, self.code(), "bench tablet again")
        expect(tablet.get_by_role("table")).to_contain_text("0.5049")
        expect(tablet.get_by_role("region", name="Not sent yet")).to_have_count(0)
        expect(tablet.locator(".bench[aria-busy=true]")).to_have_count(0)
        for _ in (1, 2):
            with self.answered("**/undo", tablet):
                tablet.get_by_role("button", name="undo z").click()

    def test_a_picture_read_by_the_camera_brings_the_code(self) -> None:
        """An onlooker: it sees the bench and the plan, and is offered nothing that it may not do."""
        code = self.code("view only")
        tablet = self.tablet()
        tablet.goto(f"/pair#{code}")
        expect(tablet.get_by_label("Code")).to_have_value(code)
        type_into(tablet.get_by_label("Name for this device"), "office")
        tablet.get_by_role("button", name="Connect").click()
        expect(tablet).to_have_title("Jobs · Conch")
        expect(tablet.get_by_text("office can view only")).to_be_visible()
        expect(tablet.get_by_role("button", name="New job")).to_have_count(0)
        tablet.goto("/jobs/2/bench")
        expect(tablet.get_by_role("heading", level=1)).to_contain_text("Turn to 0.4933 in")
        expect(tablet.get_by_role("textbox", name="New reading")).to_have_count(0)
        expect(tablet.get_by_role("button", name="undo z")).to_have_count(0)
        tablet.goto("/jobs/2")
        expect(tablet.get_by_role("textbox", name="Job title")).to_have_attribute("readonly", "")
        self.open_papers(tablet)
        expect(tablet.get_by_role("button", name="Put on hold")).to_have_count(0)
        tablet.get_by_role("button", name="Open on a tablet").click()
        expect(tablet.get_by_text(f"http://{THERE}:{self.server.port}/jobs/2/bench")).to_be_visible()
        self.is_offered_no_change(tablet)
        tablet.goto("/upkeep")
        expect(tablet.get_by_text("Manage devices on the computer that runs Conch")).to_be_visible()
        expect(tablet.get_by_role("button", name="Let a tablet in")).to_have_count(0)
        told = tablet.request.post("/api/jobs/2/undo", data={"last": 0, "revision": 1}, headers=self.token(tablet))
        self.assertEqual((told.status, told.json()["code"]), (403, "onlooker"))

    def is_offered_no_change(self, page: Page) -> None:
        """What changes something elsewhere: there on the host, not on that page."""
        changes = {
            "/new?as=stud": ("Show the plan", "button:has-text('Cancel')"),
            "/holders": ("Start the job", "form.fields input"),
            "/shop": ("Import a shop file (JSON or CSV)", ".drawer .thing"),
            "/threads?q=M10": ("☆ Add to favourites", "main h1.fig"),
        }
        for path, (name, beside) in changes.items():
            for seen_by, count in ((self.page, 1), (page, 0)):
                seen_by.goto(path)
                expect(seen_by.locator(beside).first).to_be_visible()
                expect(seen_by.get_by_role("button", name=name, exact=True)).to_have_count(count)
        for seen_by, readonly in ((self.page, 0), (page, 1)):
            seen_by.goto("/shop")
            seen_by.locator(".drawer .thing").first.click()
            expect(seen_by.get_by_role("article")).to_be_visible()
            notes = seen_by.get_by_role("textbox", name="Notes").and_(seen_by.locator("[readonly]"))
            expect(notes).to_have_count(readonly)
        # Whoever only looks finds, and is asked nothing more.
        type_into(page.get_by_role("textbox", name="Find in the shop"), "bsf")
        expect(page.locator(".drawer .thing")).to_have_count(6)
        expect(page.get_by_role("alert")).to_have_count(0)

    def test_the_bench_is_taken_to_a_tablet(self) -> None:
        """By the host, where it stands: the picture opens the same bench."""
        self.page.goto("/jobs/2/bench")
        self.page.get_by_role("button", name="open on a tablet").click()
        expect(self.page.get_by_text(f"http://{THERE}:{self.server.port}/jobs/2/bench")).to_be_visible()

    def token(self, page: Page) -> dict[str, str]:
        """What a page's own requests carry."""
        [token] = [cooky["value"] for cooky in page.context.cookies() if cooky["name"] == "csrftoken"]
        return {"X-CSRFToken": token}

    def test_the_store_is_told_of_and_taken_along(self) -> None:
        self.page.goto("/upkeep")
        store = self.page.get_by_role("region", name="Data and backups")
        expect(store).to_contain_text("all jobs open without problems")
        expect(store).to_contain_text("./conch restore FILE")
        with self.page.expect_download() as waiting:
            store.get_by_role("link", name="Export everything").click()
        with zipfile.ZipFile(waiting.value.path()) as file:
            self.assertEqual(len([name for name in file.namelist() if name.startswith("jobs/")]), 10)

    def test_a_device_is_named_and_given_another_role(self) -> None:
        tablet = self.tablet()
        code = self.code()
        tablet.goto(f"/pair#{code}")
        self.pair(tablet, code, "bed tablet")
        expect(tablet).to_have_title("Jobs · Conch")
        known = self.page.get_by_role("listitem").filter(has_text="bed tablet")
        expect(known).to_be_visible()
        known.get_by_role("button", name="Rename").click()
        type_into(self.page.get_by_label("Device name"), "")
        self.page.get_by_role("button", name="Save the name").click()
        expect(self.page.get_by_text("Give this device a name")).to_be_visible()
        type_into(self.page.get_by_label("Device name"), "mill tablet")
        self.page.get_by_role("button", name="Save the name").click()
        self.page.get_by_role("button", name="Make mill tablet view only").click()
        expect(self.page.get_by_role("button", name="Give mill tablet full use")).to_be_visible()
        tablet.reload()
        expect(tablet.get_by_text("mill tablet can view only")).to_be_visible()


class OverTls(Networked):
    """With a certificate that is made for this test; the browser is told to take one that nobody vouches for."""

    @classmethod
    def setUpClass(cls) -> None:
        folder = tempfile.TemporaryDirectory(prefix="conch-tls-")
        cls.addClassCleanup(folder.cleanup)
        certificate, key = Path(folder.name) / "shop.pem", Path(folder.name) / "shop.key"
        issued = trustme.CA().issue_cert(THERE)
        issued.cert_chain_pems[0].write_to_path(str(certificate))
        issued.private_key_pem.write_to_path(str(key))
        ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(certificate, key)
        cls.more = (*Networked.more, "--certificate", str(certificate), "--key", str(key))
        super().setUpClass()

    def test_a_tablet_works_over_tls(self) -> None:
        tablet = self.new_page((820, 1180), base_url=f"https://{THERE}:{self.server.port}", ignore_https_errors=True)
        code = self.code()
        expect(self.page.get_by_text("The connection is not encrypted")).to_have_count(0)
        tablet.goto(f"/pair#{code}")
        self.pair(tablet, code, "bench tablet")
        expect(tablet).to_have_title("Jobs · Conch")
        cookies = {cooky["name"]: cooky for cooky in tablet.context.cookies()}
        self.assertTrue(cookies["conch_device"]["secure"] and cookies["csrftoken"]["secure"])
        self.assertTrue(cookies["conch_device"]["httpOnly"])
        tablet.goto("/jobs/2/bench")
        field = tablet.get_by_role("textbox", name="New reading")
        type_into(field, "0.5050")
        with self.answered("**/entries", tablet):
            field.press("Enter")
        expect(tablet.get_by_role("table")).to_contain_text("0.5050")
        with self.answered("**/undo", tablet):
            tablet.get_by_role("button", name="undo z").click()
