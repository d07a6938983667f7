"""Ten jobs, told in words, each brought to its set-up sheet in few acts and with nothing undone."""

from __future__ import annotations

import io

from pypdf import PdfReader

from tests.browser.base import BrowserCase
from tests.browser.ten_jobs import TEN, Hand, bring_to_the_sheet

MOST_ACTS, MOST_SECONDS = 25, 180


class TenJobs(BrowserCase):
    def test_each_reaches_its_sheet_in_few_acts(self) -> None:
        for job in TEN:
            with self.subTest(job.words):
                hand = Hand(self.new_page())
                href = bring_to_the_sheet(hand, job)
                answer = hand.page.request.get(f"{self.server.url}{href}")
                pages = PdfReader(io.BytesIO(answer.body())).pages
                sheet = " ".join(" ".join(page.extract_text() for page in pages).split())
                for words in job.on_the_sheet:
                    self.assertIn(words, sheet)
                self.assertLessEqual(hand.acts, MOST_ACTS)
                self.assertLessEqual(hand.seconds, MOST_SECONDS)
