"""The server gone: the bench goes on, what is recorded waits on the device, and is stored once, in order."""

from __future__ import annotations

import os
import signal
from typing import Any

from playwright.sync_api import Page, expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase, type_into


class ServerGone(BrowserCase):
    """Tests that stop their server."""

    empty = True

    def back(self) -> None:
        """The server runs for the next test, however this one ended."""
        if self.server.process is None:
            self.server.start()


class Offline(ServerGone):
    def setUp(self) -> None:
        super().setUp()
        self.addCleanup(self.back)
        self.page.goto("/")
        screws = document(SCREW | {"quantity": 3, "setup.tools": "kept"})
        self.job = self.post("/api/jobs/import", screws)["id"]
        self.page.goto(f"/jobs/{self.job}/bench")
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("face the end")
        # The steps that follow are fetched to go on with.
        self.page.wait_for_load_state("networkidle")

    def record(self) -> list[Any]:
        """What the server has, oldest first."""
        kept = self.page.request.get(f"/api/jobs/{self.job}/job.json").json()["record"]["entries"]
        return [(one["kind"], one["step"], one.get("typed", "")) for one in kept]

    def kill(self) -> None:
        """The plug is pulled."""
        assert self.server.process is not None
        os.kill(self.server.process.pid, signal.SIGKILL)
        self.server.stop()

    def press(self, name: str, page: Page | None = None) -> None:
        (page or self.page).get_by_role("button", name=name, exact=True).click()

    def heading(self, words: str) -> None:
        expect(self.page.get_by_role("heading", level=1)).to_contain_text(words)

    def read(self, text: str) -> None:
        type_into(self.page.get_by_role("textbox", name="New reading"), text)
        self.press("Record")
        expect(self.page.get_by_role("textbox", name="New reading")).to_have_value("")

    def waits(self, count: str) -> None:
        expect(self.page.get_by_role("region", name="Not sent yet")).to_contain_text(count)

    def test_ten_entries_without_a_server(self) -> None:
        self.kill()
        self.press("Done")
        self.waits("1 record is saved on this device and will be sent when Conch answers")
        self.heading("Turn to 0.4375 in")
        self.press("Step done, not measured")
        self.heading("Turn to 0.3688 in")
        self.read("0.3688")
        expect(self.page.get_by_text("The next cut is shown when it answers")).to_be_visible()
        self.press("Done")
        self.heading("Plunge the relief groove")
        self.press("Tool touched off")
        for words in ("Plunge the relief groove", "Chamfer the end", "Run the die on"):
            self.heading(words)
            self.press("Done")
        self.heading("Clean the thread")
        self.page.keyboard.press("3")
        self.waits("9 records are saved")
        self.press("Done")
        self.waits("10 records are saved")
        shown = self.page.get_by_role("region", name="Not sent yet")
        shown.locator("summary").click()
        expect(shown.get_by_role("listitem")).to_have_count(10)
        self.server.start()
        expect(shown).to_have_count(0)
        kinds = [kind for kind, _, _ in self.record()]
        self.assertEqual(kinds, ["done", "done", "reading", "done", "zero", "done", "done", "done", "verdict", "done"])
        self.assertEqual([typed for _, _, typed in self.record() if typed], ["0.3688"])

    def test_a_server_whose_disk_is_full_says_so(self) -> None:
        """What it answers then is real (`tests.campaign.disks`); here it is held before the page alone."""
        told = "The disk is full. Free some space, then try again."
        full = {"title": "Not saved", "status": 507, "code": "disk-full", "detail": told, "errors": []}
        self.page.route("**/entries", lambda route: route.fulfill(status=507, json=full))
        self.press("Done")
        self.waits(f"1 record is saved on this device. {told}")
        self.page.unroute("**/entries")
        expect(self.page.get_by_role("region", name="Not sent yet")).to_have_count(0)
        self.assertEqual(len(self.record()), 1)

    def test_killed_in_the_middle_and_the_page_closed(self) -> None:
        self.press("Done")
        self.heading("Turn to")
        self.kill()
        self.read("0.4375")
        self.waits("1 record is saved")
        context = self.page.context
        self.page.close()
        self.server.start()
        self.page = context.new_page()
        self.page.goto(f"/jobs/{self.job}/bench")
        expect(self.page.get_by_text("On size")).to_be_visible()
        self.assertEqual([typed for _, _, typed in self.record() if typed], ["0.4375"])

    def test_what_the_server_then_refuses_is_settled_by_the_person(self) -> None:
        """Under size, and done all the same without the server: it wants a reason, and what came after waits for it."""
        self.press("Done")
        self.heading("Turn to")
        self.kill()
        self.read("0.3000")
        self.press("Done")
        self.heading("Turn to 0.3688 in")
        self.press("Step done, not measured")
        self.waits("3 records are saved")
        self.server.start()
        shown = self.page.get_by_role("region", name="Not sent yet")
        expect(shown).to_contain_text("give a reason")
        expect(shown).to_contain_text("More records are waiting for this one: 1")
        shown.get_by_role("button", name="Accept with a reason").click()
        type_into(shown.get_by_role("textbox", name="Why is it acceptable?"), "a spacer hides it")
        shown.get_by_role("button", name="Accept as it is").click()
        expect(shown).to_have_count(0)
        self.heading("Plunge the relief groove")
        self.assertEqual([kind for kind, _, _ in self.record()], ["done", "reading", "accept", "done"])

    def test_undone_while_it_waits(self) -> None:
        self.kill()
        self.press("Done")
        self.heading("Turn to")
        self.read("0.4375")
        self.waits("2 records are saved")
        self.page.keyboard.press("z")
        self.waits("1 record is saved")
        self.server.start()
        expect(self.page.get_by_role("region", name="Not sent yet")).to_have_count(0)
        self.heading("Turn to")
        self.press("Step done, not measured")
        self.heading("Turn to 0.3688 in")
        self.assertEqual([kind for kind, _, _ in self.record()], ["done", "done"])

    def test_what_waits_is_sent_wherever_one_is(self) -> None:
        """Recorded without a server, the bench left for the list of jobs: it is told there, and stored from there."""
        page = self.page
        self.press("Done")
        self.heading("Turn to")
        self.kill()
        self.read("0.4375")
        self.waits("1 record is saved")
        context = page.context
        page.close()
        # The server is slow to take entries, so that they are seen to wait.
        context.route("**/entries", lambda route: route.abort())
        self.server.start()
        self.page = page = context.new_page()
        page.goto("/")
        elsewhere = page.get_by_role("list", name="Not sent yet")
        expect(elsewhere).to_contain_text("1 record is saved on this device only")
        context.unroute("**/entries")
        expect(elsewhere).to_have_count(0)
        self.assertEqual([typed for _, _, typed in self.record() if typed], ["0.4375"])


class ColdStart(ServerGone):
    """The page opened anew while the server is gone: it was kept on the device, with what was known of the job."""

    CACHED = """async () => {
      await navigator.serviceWorker.ready
      const page = await caches.open("page")
      return (await page.match("/")) !== undefined && navigator.serviceWorker.controller !== null
    }"""

    def test_a_known_job_opens_and_goes_on(self) -> None:
        page = self.new_page(service_workers="allow")
        self.addCleanup(self.back)
        page.goto("/")
        self.page.goto("/")
        job = self.post("/api/jobs/import", document(SCREW | {"quantity": 3, "setup.tools": "kept"}))["id"]
        page.goto(f"/jobs/{job}/bench")
        heading = page.get_by_role("heading", level=1)
        expect(heading).to_contain_text("face the end")
        page.wait_for_load_state("networkidle")
        page.wait_for_function(self.CACHED)
        page.get_by_role("button", name="Done", exact=True).click()
        expect(heading).to_contain_text("Turn to 0.4375 in")
        page.wait_for_load_state("networkidle")
        self.server.stop()
        context = page.context
        page.close()
        page = context.new_page()
        page.goto(f"/jobs/{job}/bench")
        heading = page.get_by_role("heading", level=1)
        expect(heading).to_contain_text("Turn to 0.4375 in")
        expect(page.get_by_text("as this device last saw it")).to_be_visible()
        # Half a reading, and the page loaded anew: it stands there still.
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.43")
        page.reload()
        expect(field).to_have_value("0.43")
        field.press("End")
        page.keyboard.type("75")
        page.keyboard.press("Enter")
        expect(page.get_by_role("region", name="Not sent yet")).to_contain_text("1 record is saved on this device")
        # What this device never saw says so.
        page.goto("/jobs/99/bench")
        expect(page.get_by_role("main")).to_contain_text("Conch does not answer")
        page.goto(f"/jobs/{job}/bench")
        expect(page.get_by_role("region", name="Not sent yet")).to_contain_text("1 record is saved on this device")
        self.server.start()
        expect(page.get_by_text("On size")).to_be_visible()
        expect(page.get_by_text("as this device last saw it")).to_have_count(0)
        kept = self.page.request.get(f"/api/jobs/{job}/job.json").json()["record"]["entries"]
        self.assertEqual([(one["kind"], one.get("typed", "")) for one in kept], [("done", ""), ("reading", "0.4375")])
