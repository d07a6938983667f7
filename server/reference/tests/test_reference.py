"""The size line answers every thread and explains every text that is none; choices name all that a form offers."""

from __future__ import annotations

from urllib.parse import quote

from django.test import SimpleTestCase

from lathework.cautions import HAZARDS
from lathework.gauging.verdicts import LIMIT_VERDICTS, NUT_VERDICTS
from lathework.job.document import read_document
from lathework.part.model import SHAPES
from lathework.part.stock import STOCK_FORMS
from lathework.tests.samples import document
from lathework.threads.library import library


class Reference(SimpleTestCase):
    def test_every_thread_is_answered(self) -> None:
        for thread in library():
            answer = self.client.get(f"/api/size?q={quote(thread.designation)}")
            with self.subTest(thread.designation):
                self.assertEqual(answer.status_code, 200)
                self.assertEqual(answer.json()["designation"], thread.designation)

    def test_the_figures_carry_their_working(self) -> None:
        """ISO 228-1: G1/4 measures 13.157 mm, told in both units."""
        found = self.client.get("/api/size?q=G1/4").json()
        major = found["figures"]["basic"][0]
        self.assertEqual(
            major["shown"], {"inch": {"text": "0.5180", "unit": "in"}, "mm": {"text": "13.157", "unit": "mm"}}
        )
        for figure in (*found["figures"]["basic"], found["figures"]["wire"], *found["figures"]["groove"]):
            self.assertTrue(figure["formula"] and figure["source"]["title"])

    def test_the_words_of_the_trade(self) -> None:
        told = {one["word"]: one for one in self.client.get("/api/words").json()}
        self.assertEqual(told["pitch diameter"]["also"], "effective diameter")
        self.assertIn("blade", told["kerf"]["meaning"])

    def test_what_is_refused_is_told_in_plain_words(self) -> None:
        """A size line that is far too long, and none at all: no word of the framework's."""
        for asked, said in (("?q=" + "9" * 300, "q: At most 200 characters."), ("", "q: This is missing.")):
            with self.subTest(said):
                answer = self.client.get(f"/api/size{asked}")
                self.assertEqual(answer.status_code, 422)
                self.assertEqual(answer.json()["detail"], said)

    def test_an_unclear_text_gets_its_choices(self) -> None:
        answer = self.client.get("/api/size?q=7/16%20whitworth")
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["choices"], ["7/16 BSW", "7/16 BSF"])

    def test_every_choice_of_a_form_makes_a_job(self) -> None:
        found = self.client.get("/api/choices").json()
        for field, name in (
            ("material", "materials"),
            ("method.blank_school", "schools"),
            ("method.finish", "finishes"),
            ("method.holder", "holders"),
            ("part.sections.0.cut", "outside_cutters"),
            ("method.infeed", "infeeds"),
            ("method.point", "points"),
            ("method.order", "orders"),
            ("method.support", "supports"),
            ("setup.readout", "readouts"),
            ("setup.lathe", "lathes"),
            ("setup.dial", "dials"),
            ("setup.groove_edge", "edges"),
        ):
            for choice in found[name]:
                with self.subTest(choice["code"]):
                    self.assertTrue(choice["name"])
                    # Jaws are taken for a stated reason alone.
                    read_document(document({field: choice["code"], "method.because": "a try"}))
        said = {gauge["code"]: [one["code"] for one in gauge["verdicts"]] for gauge in found["gauges"]}
        self.assertEqual(said[""], list(NUT_VERDICTS))
        self.assertEqual(said["limits"], list(LIMIT_VERDICTS))

    def test_the_hazards_and_shapes_of_a_form_are_those_of_the_rules(self) -> None:
        found = self.client.get("/api/choices").json()
        self.assertEqual([c["code"] for c in found["hazards"]], list(HAZARDS))
        self.assertEqual([c["code"] for c in found["shapes"]], list(SHAPES))
        self.assertEqual([c["code"] for c in found["stocks"]], list(STOCK_FORMS))

    def test_a_worn_reading_is_told_beside_what_it_may_have_been(self) -> None:
        """0.369 on a worn 3/8: 0.006 under."""
        found = self.client.get("/api/sample?reading=0.369&unit=in&of=across").json()
        self.assertEqual((found[0]["typed"], found[0]["under"]["inch"]["text"]), ("3/8 in", "0.0060"))
        threads = self.client.get("/api/sample?reading=0.369&unit=in&of=thread").json()
        self.assertIn("3/8-16 UNC", [thread["typed"] for thread in threads])
        self.assertEqual(self.client.get("/api/sample?reading=worn").status_code, 422)
