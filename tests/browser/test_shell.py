"""The shell: themes, keys, accessibility, addresses that lead nowhere, what the page may load."""

from __future__ import annotations

import json
import re
import urllib.request
from pathlib import Path

from playwright.sync_api import expect

from launcher.bill import INLINED
from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into


class Shell(BrowserCase):
    """Every view of the demo."""

    def test_the_bench_is_dark_and_the_desk_light_until_chosen(self) -> None:
        page = self.page
        page.goto("/jobs/2/bench")
        expect(page.locator("html")).to_have_attribute("data-theme", "deep")
        page.goto("/")
        expect(page.locator("html")).to_have_attribute("data-theme", "shell")
        page.get_by_role("button", name="Dark").click()
        page.reload()
        expect(page.locator("html")).to_have_attribute("data-theme", "deep")

    def test_the_desk_is_as_the_system_is_until_chosen(self) -> None:
        page = self.new_page(color_scheme="dark")
        page.goto("/")
        expect(page.locator("html")).to_have_attribute("data-theme", "deep")
        page.emulate_media(color_scheme="light")
        expect(page.locator("html")).to_have_attribute("data-theme", "shell")
        page.get_by_role("button", name="Dark").click()
        page.get_by_role("button", name="Light").click()
        page.emulate_media(color_scheme="dark")
        expect(page.locator("html")).to_have_attribute("data-theme", "shell")

    def test_keys_are_told(self) -> None:
        self.page.goto("/jobs/2/bench")
        expect(self.page.get_by_role("heading", level=1)).to_be_visible()
        self.page.keyboard.press("?")
        keys = self.page.get_by_role("complementary", name="Keyboard shortcuts on this page")
        for words in ("size a thread", "undo", "go back one step", "open the plan"):
            expect(keys).to_contain_text(words)
        self.page.keyboard.press("Escape")
        expect(keys).to_have_count(0)

    def test_an_unknown_address_says_so(self) -> None:
        self.page.goto("/nowhere")
        expect(self.page.get_by_text("There is no page at this address")).to_be_visible()
        self.page.goto("/jobs/999")
        expect(self.page.get_by_text("There is no job at this address")).to_be_visible()

    def test_fonts_ship_with_the_page(self) -> None:
        self.page.goto("/")
        expect(self.page.get_by_role("article").first).to_be_visible()
        loaded = self.page.evaluate(
            "() => document.fonts.ready.then(() =>"
            " [...document.fonts].filter(f => f.status === 'loaded').map(f => f.family))"
        )
        self.assertTrue(any("Next" in family for family in loaded), loaded)
        self.assertTrue(any("Mono" in family for family in loaded), loaded)

    def test_strict_policy_holds(self) -> None:
        """No inline script or style without the nonce, no other origin, no framing."""
        with urllib.request.urlopen(self.server.url) as answer:
            policy = answer.headers["Content-Security-Policy"]
        self.assertNotIn("unsafe", policy)
        directives = {part.split()[0]: set(part.split()[1:]) for part in policy.split(";")}
        self.assertEqual(directives["default-src"], {"'none'"})
        self.assertEqual(directives["connect-src"], {"'self'"})
        self.assertEqual(directives["frame-ancestors"], {"'none'"})

    def test_hashed_files_are_kept_and_the_page_is_not(self) -> None:
        built = json.loads((Path(__file__).parents[2] / "web/dist/.vite/manifest.json").read_text())
        script = next(chunk["file"] for chunk in built.values() if chunk.get("isEntry"))
        with urllib.request.urlopen(f"{self.server.url}/static/{script}") as answer:
            self.assertIn("immutable", answer.headers["Cache-Control"])
        with urllib.request.urlopen(self.server.url) as answer:
            self.assertIn("no-store", answer.headers["Cache-Control"])

    def test_the_worker_is_looked_for_anew_and_what_is_in_it_is_named(self) -> None:
        """An old worker would serve an old page for ever; packages inside it are in the list of licences."""
        with urllib.request.urlopen(f"{self.server.url}/sw.js") as answer:
            self.assertEqual(answer.headers["Cache-Control"], "no-cache")
            self.assertIn("text/javascript", answer.headers["Content-Type"])
            inside = set(re.findall(r"workbox:([a-z-]+):", answer.read().decode()))
        self.assertEqual({f"workbox-{name}" for name in inside}, set(INLINED))


class EmptyStore(BrowserCase):
    """A first start without the demo."""

    empty = True

    def test_says_what_to_do_first(self) -> None:
        self.page.goto("/")
        expect(self.page.get_by_text("No jobs yet.")).to_be_visible()
        self.page.goto("/log")
        expect(
            self.page.get_by_text("Nothing recorded yet. Everything you record at the bench appears here.")
        ).to_be_visible()

    def test_a_screws_length_behind_its_thread_is_offered(self) -> None:
        """`3/8-16 x 1`: the thread is an inch long, or the screw; the person says which."""
        self.page.goto("/")
        self.page.get_by_role("button", name="New job").click()
        self.page.get_by_role("radio", name="shouldered screw").click()
        form = self.page.get_by_role("form", name="New job")
        type_into(form.get_by_role("textbox", name="Thread", exact=True), "3/8-16 x 1")
        expect(form).to_contain_text("1 in behind the thread is the length of")
        form.get_by_role("button", name="the whole screw").click()
        expect(form.get_by_role("textbox", name="Overall length, in")).to_have_value("1 in")
        expect(form.get_by_role("textbox", name="Thread", exact=True)).to_have_value("3/8-16 UNC")

    def test_typed_text_outlives_a_refused_start(self) -> None:
        """Every empty field is told at once; what was typed stays, also over a reload."""
        self.page.goto("/")
        self.page.get_by_role("button", name="New job").click()
        self.page.get_by_role("radio", name="shouldered screw").click()
        self.fill_job({"Name of the job": "Shutter latch pin", "Thread": "5/16 whitworth", "How many": "six"})
        self.page.get_by_role("button", name="Show the plan").click()
        form = self.page.get_by_role("form", name="New job")
        for told in ("5/16 BSW (18 per inch", "whole number from 1 to 5000", "Type a length."):
            expect(form).to_contain_text(told)
        form.get_by_role("button", name="5/16 BSF").click()
        self.page.reload()
        expect(form.get_by_role("textbox", name="Name of the job")).to_have_value("Shutter latch pin")


class Newcomer(BrowserCase):
    """A first start without the demo, by somebody who has never threaded."""

    empty = True

    def test_a_newcomer_walks_through_one_small_job(self) -> None:
        """From the empty page to the bench on the real screens, each step saying why."""
        page = self.page
        page.goto("/")
        page.get_by_role("link", name="New to cutting threads? Try a small job, step by step.").click()
        expect(page.get_by_role("textbox", name="Thread", exact=True)).to_have_value("3/8-16")
        page.goto("/new?as=stud")
        expect(page.get_by_role("textbox", name="Thread", exact=True)).to_have_value("")
        page.goto("/new?as=stud&walk=1")
        page.get_by_role("button", name="Show the plan").click()
        expect(page.get_by_role("note")).to_contain_text("Read the steps from top to bottom")
        page.get_by_role("button", name="Run the die on").click()
        expect(page.get_by_role("region", name="Run the die on")).to_contain_text(
            "The marked side has the longer chamfer"
        )
        page.get_by_role("button", name=TO_THE_BENCH).click()
        expect(page.get_by_role("note")).to_contain_text("Every length is measured from this face")
