"""Days and hours as people say them."""

from __future__ import annotations

import unittest
from datetime import date, datetime, timedelta

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InputError
from lathework.week.clock import Clock
from lathework.week.days import MONTHS, WEEKDAYS, day_words, read_day
from lathework.week.hours import Hours, Span, changed_words, hours_words, read_changed, read_hours, spans_of

TUESDAY = date(2026, 12, 1)
#: What people say, and the day they mean, on that Tuesday.
SAID = (
    ("Saturday", date(2026, 12, 5)),
    ("by Friday", date(2026, 12, 4)),
    ("sat", date(2026, 12, 5)),
    ("next Saturday", date(2026, 12, 12)),
    ("Tuesday", date(2026, 12, 8)),
    ("tomorrow", date(2026, 12, 2)),
    ("today", TUESDAY),
    ("12 Dec", date(2026, 12, 12)),
    ("the 12th of December", date(2026, 12, 12)),
    ("Dec 12", date(2026, 12, 12)),
    ("3 January", date(2027, 1, 3)),
    ("2027-01-03", date(2027, 1, 3)),
    ("25/12", date(2026, 12, 25)),
    ("12/12", date(2026, 12, 12)),
    ("in two weeks", date(2026, 12, 15)),
    ("in 3 days", date(2026, 12, 4)),
    ("weekend", date(2026, 12, 6)),
    ("end of the month", date(2026, 12, 31)),
    ("before the regatta 12 Dec", date(2026, 12, 11)),
    ("the regatta, 12 Dec", date(2026, 12, 12)),
    ("29 Feb", date(2028, 2, 29)),
    ("whenever", None),
    ("", None),
)
REFUSED = (
    ("31 Feb", "no-such-day"),
    ("30 November 2026", "day-over"),
    ("12 Dec 2062", "too-far"),
    ("3/4", "which-day"),
    ("the regatta", "not-a-day"),
    ("M8", "not-a-day"),
)


class Days(unittest.TestCase):
    def test_as_people_say_them(self) -> None:
        for said, day in SAID:
            with self.subTest(said):
                self.assertEqual(read_day(said, TUESDAY).day, day)

    def test_what_is_no_day_is_said(self) -> None:
        for said, code in REFUSED:
            with self.subTest(said), self.assertRaises(InputError) as refused:
                read_day(said, TUESDAY)
            self.assertEqual((refused.exception.code, refused.exception.field), (code, "wanted"))

    @given(st.dates(date(2026, 1, 1), date(2035, 12, 31)), st.integers(0, 300))
    def test_every_day_reads_back(self, today: date, ahead: int) -> None:
        """In the words it is shown by, in figures, and by the calendar's own name of its day."""
        day = today + timedelta(days=ahead)
        for said in (day_words(day), day.isoformat(), f"{day.day} {MONTHS[day.month - 1][:3]} {day.year}"):
            self.assertEqual(read_day(said, today).day, day, said)
        self.assertEqual(day.strftime("%A"), WEEKDAYS[day.weekday()])

    @given(st.text(max_size=40))
    def test_any_text_is_a_day_or_is_refused(self, said: str) -> None:
        try:
            day = read_day(said, TUESDAY).day
        except InputError as error:
            self.assertTrue(error.message)
        else:
            self.assertTrue(day is None or day >= TUESDAY)


OPEN = st.lists(st.integers(0, 96), min_size=2, max_size=6, unique=True).map(
    lambda quarters: tuple(
        (begin * 15, end * 15) for begin, end in zip(sorted(quarters)[::2], sorted(quarters)[1::2], strict=False)
    )
)


class InTheShop(unittest.TestCase):
    def test_weeks_as_people_say_them(self) -> None:
        for said, words in (
            ("Thu 19-21, Sat 9-14, Sun 10-13", "Thu 19-21, Sat 9-14, Sun 10-13"),
            (
                "weekdays 7pm-9pm; Sunday 9:30 to 12",
                "Mon 19-21, Tue 19-21, Wed 19-21, Thu 19-21, Fri 19-21, Sun 9:30-12",
            ),
            ("Sat, Sun 9-12 and 13-17", "Sat 9-12 and 13-17, Sun 9-12 and 13-17"),
            ("Fri 7-9pm", "Fri 19-21"),
            ("Tue-Thu 8:30-10", "Tue 8:30-10, Wed 8:30-10, Thu 8:30-10"),
            ("", ""),
        ):
            with self.subTest(said):
                self.assertEqual(hours_words(Hours(read_hours(said))), words)

    def test_hours_that_cannot_be_are_said(self) -> None:
        for said, code in (
            ("Sat 14-9", "ends-first"),
            ("Sat 25-26", "no-such-time"),
            ("Sat 9:75-12", "no-such-time"),
            ("Sat", "which-hours"),
            ("9-12", "which-days"),
            ("Sat 9-12 and 11-13", "overlap"),
            ("hello", "which-days"),
        ):
            with self.subTest(said), self.assertRaises(InputError) as refused:
                read_hours(said)
            self.assertEqual(refused.exception.code, code)

    def test_single_days(self) -> None:
        changed = read_changed("Saturday off; 13 Dec 9-12 and 13-15", TUESDAY)
        self.assertEqual(changed_words(changed), "Saturday 5 December off; Sunday 13 December 9-12 and 13-15")
        hours = Hours(read_hours("Sat 9-14"), changed)
        self.assertEqual(hours.on(date(2026, 12, 5)), ())
        self.assertEqual(hours.on(date(2026, 12, 12)), ((540, 840),))
        self.assertEqual(read_changed("1 Nov 2026 off", TUESDAY), {})

    @given(st.dictionaries(st.integers(0, 6), OPEN, max_size=7))
    def test_every_week_reads_back(self, usual: dict[int, tuple[tuple[int, int], ...]]) -> None:
        self.assertEqual(read_hours(hours_words(Hours(usual))), {day: usual[day] for day in sorted(usual)})

    def test_stretches_begin_now(self) -> None:
        hours = Hours(read_hours("Tue 19-21, Wed 9-10"))
        self.assertEqual(spans_of(hours, datetime(2026, 12, 1, 20, 30), 3), (Span(0, 30), Span(750, 810)))


SPANS = st.lists(st.integers(0, 3000), min_size=2, max_size=12, unique=True).map(
    lambda ends: tuple(Span(*pair) for pair in zip(sorted(ends)[::2], sorted(ends)[1::2], strict=False))
)


class WorkOnTheClock(unittest.TestCase):
    @given(SPANS, st.integers(0, 3200), st.integers(1, 2000))
    def test_minute_by_minute(self, spans: tuple[Span, ...], begin: int, minutes: int) -> None:
        """Against counting the open minutes one by one."""
        clock = Clock(spans)
        open_minutes = [at for span in spans for at in range(span.begin, span.end)]
        self.assertEqual(clock.minutes, len(open_minutes))
        self.assertEqual(clock.until(begin), sum(at < begin for at in open_minutes))
        after = [at for at in open_minutes if at >= begin]
        found = clock.work(begin, minutes)
        if len(after) < minutes:
            self.assertIsNone(found)
        else:
            ends = after[minutes - 1] + 1
            self.assertEqual(found, (after[0], ends, sum(at < ends for at in open_minutes)))
