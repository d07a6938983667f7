"""ASME B1.1: basic diameters, limits of size, stress areas. Rows recalled from the printed tables."""

from __future__ import annotations

from lathework.cutting.groove import stress_area
from lathework.threads.designation import read_designation
from lathework.threads.limits import external_limits
from lathework.threads.thread import Thread
from tests.validation.published import PublishedCase, printed_rows

#: ASME B1.1, basic dimensions of the coarse, fine and extra-fine series: designation, major, pitch, minor (inches).
BASIC = (
    ("#1-64 UNC", "0.0730", "0.0629", "0.0561"),
    ("#2-56 UNC", "0.0860", "0.0744", "0.0667"),
    ("#3-48 UNC", "0.0990", "0.0855", "0.0764"),
    ("#4-40 UNC", "0.1120", "0.0958", "0.0849"),
    ("#5-40 UNC", "0.1250", "0.1088", "0.0979"),
    ("#6-32 UNC", "0.1380", "0.1177", "0.1042"),
    ("#8-32 UNC", "0.1640", "0.1437", "0.1302"),
    ("#10-24 UNC", "0.1900", "0.1629", "0.1449"),
    ("#12-24 UNC", "0.2160", "0.1889", "0.1709"),
    ("1/4-20 UNC", "0.2500", "0.2175", "0.1959"),
    ("5/16-18 UNC", "0.3125", "0.2764", "0.2524"),
    ("3/8-16 UNC", "0.3750", "0.3344", "0.3073"),
    ("7/16-14 UNC", "0.4375", "0.3911", "0.3602"),
    ("1/2-13 UNC", "0.5000", "0.4500", "0.4167"),
    ("9/16-12 UNC", "0.5625", "0.5084", "0.4723"),
    ("5/8-11 UNC", "0.6250", "0.5660", "0.5266"),
    ("3/4-10 UNC", "0.7500", "0.6850", "0.6417"),
    ("7/8-9 UNC", "0.8750", "0.8028", "0.7547"),
    ("1-8 UNC", "1.0000", "0.9188", "0.8647"),
    ("1-1/8-7 UNC", "1.1250", "1.0322", "0.9704"),
    ("1-1/4-7 UNC", "1.2500", "1.1572", "1.0954"),
    ("1-3/8-6 UNC", "1.3750", "1.2667", "1.1946"),
    ("1-1/2-6 UNC", "1.5000", "1.3917", "1.3196"),
    ("1-3/4-5 UNC", "1.7500", "1.6201", "1.5335"),
    ("2-4.5 UNC", "2.0000", "1.8557", "1.7594"),
    ("2-1/2-4 UNC", "2.5000", "2.3376", "2.2294"),
    ("3-4 UNC", "3.0000", "2.8376", "2.7294"),
    ("4-4 UNC", "4.0000", "3.8376", "3.7294"),
    ("#0-80 UNF", "0.0600", "0.0519", "0.0465"),
    ("#1-72 UNF", "0.0730", "0.0640", "0.0580"),
    ("#2-64 UNF", "0.0860", "0.0759", "0.0691"),
    ("#3-56 UNF", "0.0990", "0.0874", "0.0797"),
    ("#4-48 UNF", "0.1120", "0.0985", "0.0894"),
    ("#5-44 UNF", "0.1250", "0.1102", "0.1004"),
    ("#6-40 UNF", "0.1380", "0.1218", "0.1109"),
    ("#8-36 UNF", "0.1640", "0.1460", "0.1339"),
    ("#10-32 UNF", "0.1900", "0.1697", "0.1562"),
    ("#12-28 UNF", "0.2160", "0.1928", "0.1773"),
    ("1/4-28 UNF", "0.2500", "0.2268", "0.2113"),
    ("5/16-24 UNF", "0.3125", "0.2854", "0.2674"),
    ("3/8-24 UNF", "0.3750", "0.3479", "0.3299"),
    ("7/16-20 UNF", "0.4375", "0.4050", "0.3834"),
    ("1/2-20 UNF", "0.5000", "0.4675", "0.4459"),
    ("9/16-18 UNF", "0.5625", "0.5264", "0.5024"),
    ("5/8-18 UNF", "0.6250", "0.5889", "0.5649"),
    ("3/4-16 UNF", "0.7500", "0.7094", "0.6823"),
    ("7/8-14 UNF", "0.8750", "0.8286", "0.7977"),
    ("1-12 UNF", "1.0000", "0.9459", "0.9098"),
    ("1-1/4-12 UNF", "1.2500", "1.1959", "1.1598"),
    ("1-1/2-12 UNF", "1.5000", "1.4459", "1.4098"),
    ("1/4-32 UNEF", "0.2500", "0.2297", "0.2162"),
    ("5/16-32 UNEF", "0.3125", "0.2922", "0.2787"),
    ("3/8-32 UNEF", "0.3750", "0.3547", "0.3412"),
    ("7/16-28 UNEF", "0.4375", "0.4143", "0.3988"),
    ("1/2-28 UNEF", "0.5000", "0.4768", "0.4613"),
    ("9/16-24 UNEF", "0.5625", "0.5354", "0.5174"),
    ("5/8-24 UNEF", "0.6250", "0.5979", "0.5799"),
    ("3/4-20 UNEF", "0.7500", "0.7175", "0.6959"),
    ("1-20 UNEF", "1.0000", "0.9675", "0.9459"),
)
#: Tensile stress areas, square inches, as handbooks print them.
STRESS_AREA = (
    ("#0-80", "0.00180"),
    ("#1-64", "0.00263"),
    ("#1-72", "0.00278"),
    ("#2-56", "0.00370"),
    ("#2-64", "0.00394"),
    ("#3-48", "0.00487"),
    ("#4-40", "0.00604"),
    ("#4-48", "0.00661"),
    ("#5-40", "0.00796"),
    ("#5-44", "0.00830"),
    ("#6-32", "0.00909"),
    ("#6-40", "0.01015"),
    ("#8-36", "0.01474"),
    ("#10-24", "0.0175"),
    ("#10-32", "0.0200"),
    ("1/4-20", "0.0318"),
    ("1/4-28", "0.0364"),
    ("5/16-18", "0.0524"),
    ("5/16-24", "0.0580"),
    ("3/8-16", "0.0775"),
    ("3/8-24", "0.0878"),
    ("7/16-14", "0.1063"),
    ("7/16-20", "0.1187"),
    ("1/2-13", "0.1419"),
    ("1/2-20", "0.1599"),
    ("9/16-12", "0.182"),
    ("9/16-18", "0.203"),
    ("5/8-11", "0.226"),
    ("5/8-18", "0.256"),
    ("3/4-10", "0.334"),
    ("3/4-16", "0.373"),
    ("7/8-9", "0.462"),
    ("7/8-14", "0.509"),
    ("1-8", "0.606"),
    ("1-12", "0.663"),
)


#: ASME B1.1-2003 and later, minor diameter of the rounded-root external thread, greatest (inches).
UNR_MINOR = (
    ("#0-80 UNF", "2A", "0.0446"),
    ("#1-64 UNC", "2A", "0.0538"),
    ("1/4-20 UNC", "2A", "0.1894"),
    ("1/4-20 UNC", "3A", "0.1905"),
)


class Unified(PublishedCase):
    def test_basic_diameters(self) -> None:
        for designation, *printed in BASIC:
            self.compare_basic(designation, (printed[0], printed[1], printed[2]), (0.649519, 1.082532))

    def test_limits_of_size(self) -> None:
        """Every printed limit of classes 1A to 3A and 1B to 3B; the pitch tolerance by hand beside each."""
        rows = printed_rows("unified_limits")
        self.assertGreaterEqual(len(rows), 50)
        for row in rows:
            self.external_row(read_designation(row["designation"]), row)
            self.internal_row(read_designation(row["designation"]), row)

    def tolerance(self, thread: Thread) -> float:
        """Td2 by hand: one diameter of engagement for UNC, UNF and 1-14, nine pitches for the others."""
        long = thread.series in ("UNC", "UNF") or thread.designation == "1-14 UNS"
        engaged = thread.major if long else 9 * thread.pitch
        return float(0.0015 * thread.major ** (1 / 3) + 0.0015 * engaged**0.5 + 0.015 * thread.pitch ** (2 / 3))

    def external_row(self, thread: Thread, row: dict[str, str]) -> None:
        tolerance, grade = self.tolerance(thread), thread.pitch ** (2 / 3)
        less = float(row["allowance"])
        for name, allowance, crest, share in (
            ("1A", less, 0.09, 1.5),
            ("2A", less, 0.06, 1.0),
            ("3A", 0.0, 0.06, 0.75),
        ):
            limits = self.external(thread, name)
            what = f"{thread.designation} {name}"
            self.assertAlmostEqual(limits.major.allowance, allowance, places=6, msg=what)
            top = thread.pitch_diameter - allowance
            self.compare(
                f"{what} major",
                printed=row[f"{name} major min"],
                ours=limits.major.minimum,
                by_hand=thread.major - allowance - crest * grade,
            )
            self.compare(
                f"{what} pitch",
                printed=row[f"{name} pitch min"],
                ours=limits.pitch_diameter.minimum,
                by_hand=top - share * tolerance,
            )
            self.assertAlmostEqual(limits.pitch_diameter.maximum, top, places=6)
            self.assertAlmostEqual(limits.major.maximum, thread.major - allowance, places=6)

    def internal_row(self, thread: Thread, row: dict[str, str]) -> None:
        tolerance, basic = self.tolerance(thread), thread.pitch_diameter
        for name, share in (("1B", 1.95), ("2B", 1.3), ("3B", 0.975)):
            limits = self.internal(thread, name)
            what = f"{thread.designation} {name}"
            self.compare(
                f"{what} pitch",
                printed=row[f"{name} pitch max"],
                ours=limits.pitch_diameter.maximum,
                by_hand=basic + share * tolerance,
            )
            self.compare(f"{what} pitch least", printed=row["B pitch min"], by_hand=None, ours=basic)
            self.compare(f"{what} minor least", printed=row["B minor min"], by_hand=None, ours=limits.minor.minimum)
        for name in ("2B", "3B"):
            printed, ours = row[f"{name} minor max"], self.internal(thread, name).minor.maximum
            self.compare(f"{thread.designation} {name} minor", printed=printed, by_hand=None, ours=ours)

    def test_rounded_root_minors(self) -> None:
        """Greatest minor of the external thread with rounded root, as recalled from the printed tables."""
        for designation, class_name, printed in UNR_MINOR:
            limits = self.external(read_designation(designation), class_name)
            self.compare(designation, printed=printed, by_hand=None, ours=limits.minor_max.value)

    def test_engagement_enters_where_the_standard_makes_it_an_input(self) -> None:
        """3/8-16 over 1 in by hand: 0.0015 x 0.72112 + 0.0015 x 1 + 0.015 x 0.15749 = 0.0049441."""
        limits = external_limits(read_designation("3/8-16"), "2A", 1.0)
        assert limits is not None
        self.assertAlmostEqual(limits.pitch_diameter.tolerance, 0.004944, places=6)

    def test_stress_areas(self) -> None:
        for designation, printed in STRESS_AREA:
            area = stress_area(read_designation(designation))
            self.compare(f"{designation} stress area", printed=printed, by_hand=None, ours=area.value)
