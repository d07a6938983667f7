"""Two devices at one job: each sees at once what the other does; where both did the same, a person settles it."""

from __future__ import annotations

from playwright.sync_api import Locator, Page, expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase, type_into


class TwoHands(BrowserCase):
    empty = True

    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        screws = document(SCREW | {"quantity": 2, "setup.tools": "kept", "title": "Lamp screws"})
        self.job = self.post("/api/jobs/import", screws)["id"]
        self.other = self.new_page()

    def both_at(self, path: str) -> None:
        for page in (self.page, self.other):
            with page.expect_response("**/api/news"):
                page.goto(path)

    def title(self, page: Page) -> Locator:
        return page.get_by_role("textbox", name="Job title", exact=True)

    def test_one_batch_on_two_screens(self) -> None:
        """By turns, to the end of the first piece: each screen stands where the other left it, unasked."""
        self.both_at(f"/jobs/{self.job}/bench")
        pages = (self.page, self.other)
        for turn in range(30):
            now = self.page.request.get(f"/api/jobs/{self.job}/bench").json()
            if now["piece"] == 2:
                break
            heading = now["step"]["title"]
            for page in pages:
                expect(page.locator("h1")).to_have_count(1)
            self.page = pages[turn % 2]
            self.end_step(self.job, now)
            after = self.page.request.get(f"/api/jobs/{self.job}/bench").json()
            for page in pages:
                expect(page.get_by_role("status", name="Meanwhile"), heading).to_be_visible()
                if after["zero"]:
                    expect(page.get_by_text(f"◇ {after['zero'][:12]}")).to_be_visible()
        for page in pages:
            expect(page.get_by_text("piece 2 of 2")).to_be_visible()

    def test_the_list_of_jobs_follows(self) -> None:
        self.both_at("/")
        row = self.other.locator(f'article:has(a[href^="/jobs/{self.job}"])')
        expect(row).to_be_visible()
        now = self.page.request.get(f"/api/jobs/{self.job}/standing").json()
        body = {"last": now["last"], "revision": now["revision"], "reason": "the 10 mm reamer"}
        self.post(f"/api/jobs/{self.job}/hold", body)
        expect(row).to_contain_text("the 10 mm reamer")

    def test_changes_of_different_fields_stand_side_by_side(self) -> None:
        """Typed on both before either was stored: both are there, on both screens."""
        self.both_at(f"/jobs/{self.job}")
        type_into(self.title(self.page), "Lamp screws, long")
        type_into(self.other.get_by_role("textbox", name="Pieces"), "5")
        self.other.get_by_role("textbox", name="Pieces").press("Enter")
        expect(self.other.get_by_text("0 of 5 pieces")).to_be_visible()
        expect(self.page.get_by_role("textbox", name="Pieces")).to_have_value("5")
        expect(self.title(self.page)).to_have_value("Lamp screws, long")
        self.title(self.page).press("Enter")
        expect(self.title(self.other)).to_have_value("Lamp screws, long")
        stored = self.page.request.get(f"/api/jobs/{self.job}/job.json").json()
        self.assertEqual((stored["title"], str(stored["quantity"])), ("Lamp screws, long", "5"))

    def test_changes_of_one_field_are_settled_by_a_person(self) -> None:
        self.both_at(f"/jobs/{self.job}")
        for mine in (True, False):
            with self.subTest(mine=mine):
                here, there = f"here {mine}", f"there {mine}"
                type_into(self.title(self.page), here)
                type_into(self.title(self.other), there)
                self.title(self.other).press("Enter")
                clash = self.page.get_by_role("region", name="Also changed on another device")
                expect(clash).to_contain_text(here)
                # Another change after it settles nothing.
                pieces = self.other.get_by_role("textbox", name="Pieces", exact=True)
                type_into(pieces, "3" if mine else "4")
                pieces.press("Enter")
                expect(self.page.get_by_role("textbox", name="Pieces", exact=True)).to_have_value("3" if mine else "4")
                expect(clash).to_contain_text(there)
                name = (
                    "Keep the value from this device: title" if mine else "Keep the value from the other device: title"
                )
                clash.get_by_role("button", name=name).click()
                expect(clash).to_have_count(0)
                kept = here if mine else there
                expect(self.title(self.other)).to_have_value(kept)
                expect(self.title(self.page)).to_have_value(kept)

    def test_what_was_typed_and_left_meets_what_was_stored_since(self) -> None:
        """Typed, refused, left; another device changes another field; taken up again both stand."""
        self.page.goto(f"/jobs/{self.job}")
        type_into(self.title(self.page), "Lamp screws, left")
        self.page.goto("/nowhere")
        self.other.goto(f"/jobs/{self.job}")
        pieces = self.other.get_by_role("textbox", name="Pieces", exact=True)
        type_into(pieces, "8")
        pieces.press("Enter")
        expect(self.other.get_by_text("0 of 8 pieces")).to_be_visible()
        self.page.goto(f"/jobs/{self.job}")
        expect(self.page.get_by_role("textbox", name="Pieces", exact=True)).to_have_value("8")
        self.title(self.page).press("Enter")
        expect(self.title(self.other)).to_have_value("Lamp screws, left")
        stored = self.page.request.get(f"/api/jobs/{self.job}/job.json").json()
        self.assertEqual((stored["title"], str(stored["quantity"])), ("Lamp screws, left", "8"))

    def test_a_page_that_is_told_nothing_finds_out_when_it_stores(self) -> None:
        """Its stream is broken: what it stores meets what the other stored, and both are kept."""
        self.page.route("**/api/news", lambda route: route.abort())
        self.page.goto(f"/jobs/{self.job}")
        self.other.goto(f"/jobs/{self.job}")
        type_into(self.other.get_by_role("textbox", name="Pieces"), "7")
        self.other.get_by_role("textbox", name="Pieces").press("Enter")
        expect(self.other.get_by_text("0 of 7 pieces")).to_be_visible()
        type_into(self.title(self.page), "Lamp screws, short")
        self.title(self.page).press("Enter")
        expect(self.page.get_by_text("0 of 7 pieces")).to_be_visible()
        expect(self.title(self.page)).to_have_value("Lamp screws, short")
        expect(self.title(self.other)).to_have_value("Lamp screws, short")
