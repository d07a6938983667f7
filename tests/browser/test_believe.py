"""What the bench does with what it did not expect: gauges that contradict each other, a size that came, a known
screw."""

from __future__ import annotations

from typing import Any

from playwright.sync_api import expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase, type_into


class Believe(BrowserCase):
    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        expect(self.page.get_by_role("article").first).to_be_visible()
        self.job = self.post("/api/jobs", document(SCREW))["id"]

    def now(self) -> Any:
        return self.page.request.get(f"/api/jobs/{self.job}/bench").json()

    def to(self, key: str) -> None:
        """On to the step of that key, and look at it."""
        while not (now := self.now())["step"]["key"].startswith(key):
            self.end_step(self.job, now)
        self.page.goto(f"/jobs/{self.job}/bench")
        expect(self.page.get_by_role("heading", level=1)).to_be_visible()

    def test_gauges_that_contradict_each_other(self) -> None:
        """Rings pass it, a good nut binds: the third opinion is named, nothing is done by a press; then two agree."""
        self.to("gauge")
        page = self.page
        self.choose("gauge with", "go and no-go rings")
        page.get_by_role("button", name="go gauge goes on, no-go stops").click()
        expect(page.get_by_role("button", name="Done")).to_be_visible()
        self.choose("gauge with", "a good nut")
        page.get_by_role("button", name="starts, then binds").click()
        said = page.get_by_role("status").filter(has_text="contradict each other")
        expect(said).to_contain_text("try three wires")
        expect(page.get_by_role("button", name="Done")).to_have_count(0)
        expect(page.get_by_text("Close the die")).to_have_count(0)
        page.get_by_role("button", name="snug, turns by hand").click()
        expect(said).to_have_count(0)
        expect(page.get_by_role("button", name="Done")).to_be_visible()

    def test_which_nut_it_was_is_kept(self) -> None:
        self.to("gauge")
        page = self.page
        name = page.get_by_role("combobox", name="which nut")
        name.click()
        # The figures of a name are no verdicts.
        name.press_sequentially("union 12")
        page.get_by_role("button", name="slight play").click()
        expect(page.get_by_role("status").filter(has_text="slight play")).to_be_visible()
        expect(name).to_have_value("union 12")
        entry = self.page.request.get(f"/api/jobs/{self.job}/job.json").json()["record"]["entries"][-1]
        self.assertEqual((entry["kind"], entry["mate"]), ("verdict", "union 12"))
        # Cleared again, it is some nut.
        name.click()
        name.press("ControlOrMeta+a")
        name.press("Delete")
        page.get_by_role("button", name="snug, turns by hand").click()
        expect(page.get_by_role("status").filter(has_text="snug")).to_be_visible()
        entry = self.page.request.get(f"/api/jobs/{self.job}/job.json").json()["record"]["entries"][-1]
        self.assertEqual((entry["word"], entry.get("mate", "")), ("snug", ""))

    def test_the_part_is_changed_to_the_size_that_came(self) -> None:
        """A shank of 7/16 comes out at 0.429: what the change costs stands beside it, the plan takes it, on one
        goes."""
        self.to("turn:s2")
        page = self.page
        if self.now()["zero"]:
            page.get_by_role("button", name="Tool touched off").click()
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.429")
        field.press("Enter")
        page.get_by_role("button", name="Give a reason, or scrap it").click()
        cost = page.get_by_role("listitem").filter(has_text="Change the part")
        expect(cost).to_contain_text("section 2, diameter, from 7/16 to 0.429 in")
        expect(cost).to_contain_text("6 % weaker in bending")
        page.get_by_role("button", name="Change the part: 0.429 in").click()
        expect(page.get_by_text("On size")).to_be_visible()
        page.get_by_role("button", name="Done", exact=True).click()
        expect(page.get_by_role("heading", level=1)).not_to_contain_text("0.429")
        page.goto(f"/jobs/{self.job}")
        self.open_facts("Sections")
        expect(self.field("Section 2, diameter")).to_have_value("0.429 in")

    def test_a_die_set_on_a_known_screw(self) -> None:
        self.to("thread")
        page = self.page
        die = page.get_by_role("region", name="Die setting")
        die.get_by_role("button", name="More on this die").click()
        type_into(die.get_by_role("textbox", name="Known screw"), "the pattern stud")
        die.get_by_role("button", name="It just grips").click()
        expect(die).to_contain_text("just gripping the pattern stud")
        expect(die).to_contain_text("nut goes on")
        page.keyboard.press("z")
        expect(die).not_to_contain_text("pattern stud")
