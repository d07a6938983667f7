"""BS 84:1956 basic sizes as handbooks print them. Rows recalled from the printed tables."""

from __future__ import annotations

from lathework.threads.designation import read_designation
from tests.validation.published import PublishedCase

#: BS 84, basic sizes: designation, major, effective, minor (inches). The table takes the rounded depth off twice.
BASIC = (
    ("1/8 BSW", "0.1250", "0.1090", "0.0930"),
    ("3/16 BSW", "0.1875", "0.1608", "0.1341"),
    ("1/4 BSW", "0.2500", "0.2180", "0.1860"),
    ("5/16 BSW", "0.3125", "0.2769", "0.2413"),
    ("3/8 BSW", "0.3750", "0.3350", "0.2950"),
    ("7/16 BSW", "0.4375", "0.3918", "0.3461"),
    ("1/2 BSW", "0.5000", "0.4466", "0.3932"),
    ("9/16 BSW", "0.5625", "0.5091", "0.4557"),
    ("5/8 BSW", "0.6250", "0.5668", "0.5086"),
    ("3/4 BSW", "0.7500", "0.6860", "0.6220"),
    ("7/8 BSW", "0.8750", "0.8039", "0.7328"),
    ("1 BSW", "1.0000", "0.9200", "0.8400"),
    ("1-1/8 BSW", "1.1250", "1.0335", "0.9420"),
    ("1-1/4 BSW", "1.2500", "1.1585", "1.0670"),
    ("1-1/2 BSW", "1.5000", "1.3933", "1.2866"),
    ("1-3/4 BSW", "1.7500", "1.6219", "1.4938"),
    ("2 BSW", "2.0000", "1.8577", "1.7154"),
    ("3/16 BSF", "0.1875", "0.1675", "0.1475"),
    ("7/32 BSF", "0.2188", "0.1959", "0.1730"),
    ("1/4 BSF", "0.2500", "0.2254", "0.2008"),
    ("9/32 BSF", "0.2812", "0.2566", "0.2320"),
    ("5/16 BSF", "0.3125", "0.2834", "0.2543"),
    ("3/8 BSF", "0.3750", "0.3430", "0.3110"),
    ("7/16 BSF", "0.4375", "0.4019", "0.3663"),
    ("1/2 BSF", "0.5000", "0.4600", "0.4200"),
    ("9/16 BSF", "0.5625", "0.5225", "0.4825"),
    ("5/8 BSF", "0.6250", "0.5793", "0.5336"),
    ("3/4 BSF", "0.7500", "0.6966", "0.6432"),
    ("7/8 BSF", "0.8750", "0.8168", "0.7586"),
    ("1 BSF", "1.0000", "0.9360", "0.8720"),
    ("1-1/8 BSF", "1.1250", "1.0539", "0.9828"),
    ("1-1/4 BSF", "1.2500", "1.1789", "1.1078"),
    ("1-1/2 BSF", "1.5000", "1.4200", "1.3400"),
)
#: Model-engineer threads are Whitworth form: 40 to the inch is 0.0160 deep, 32 is 0.0200 (as BS 84 for those counts).
MODEL_ENGINEER = (
    ("1/4x40 ME", "0.2500", "0.2340", "0.2180"),
    ("5/16x40 ME", "0.3125", "0.2965", "0.2805"),
    ("3/8x32 ME", "0.3750", "0.3550", "0.3350"),
    ("1/2x32 ME", "0.5000", "0.4800", "0.4600"),
)

#: Limits worked by hand from the BS 84 formulas as handbooks give them (the printed limits were not at hand):
#: designation; medium bolt major greatest, least, effective greatest, least; close bolt effective least;
#: medium nut effective greatest, minor greatest (inches). Bolts of 3/4 in and under carry the allowance of 0.3 T.
LIMITS = (
    ("1/8 BSW", "0.1238", "0.1194", "0.1078", "0.1049", "0.1071", "0.1119", "0.1020"),
    ("3/16 BSW", "0.1863", "0.1808", "0.1596", "0.1561", "0.1585", "0.1643", "0.1474"),
    ("1/4 BSW", "0.2488", "0.2427", "0.2168", "0.2129", "0.2154", "0.2219", "0.2030"),
    ("5/16 BSW", "0.3112", "0.3046", "0.2756", "0.2714", "0.2741", "0.2811", "0.2594"),
    ("3/8 BSW", "0.3736", "0.3666", "0.3336", "0.3291", "0.3320", "0.3395", "0.3145"),
    ("1/2 BSW", "0.4985", "0.4905", "0.4451", "0.4399", "0.4432", "0.4518", "0.4169"),
    ("5/8 BSW", "0.6233", "0.6147", "0.5651", "0.5595", "0.5631", "0.5724", "0.5338"),
    ("3/4 BSW", "0.7482", "0.7390", "0.6842", "0.6782", "0.6820", "0.6920", "0.6490"),
    ("7/8 BSW", "0.8750", "0.8653", "0.8039", "0.7975", "0.7996", "0.8103", "0.7620"),
    ("1 BSW", "1.0000", "0.9897", "0.9200", "0.9132", "0.9155", "0.9268", "0.8720"),
    ("1-1/2 BSW", "1.5000", "1.4879", "1.3933", "1.3853", "1.3880", "1.4013", "1.3269"),
    ("2 BSW", "2.0000", "1.9862", "1.8577", "1.8486", "1.8516", "1.8668", "1.7668"),
    ("1/4 BSF", "0.2489", "0.2432", "0.2243", "0.2206", "0.2229", "0.2291", "0.2125"),
    ("5/16 BSF", "0.3113", "0.3051", "0.2822", "0.2781", "0.2807", "0.2875", "0.2684"),
    ("3/8 BSF", "0.3737", "0.3671", "0.3417", "0.3373", "0.3401", "0.3474", "0.3280"),
    ("1/2 BSF", "0.4985", "0.4910", "0.4585", "0.4535", "0.4567", "0.4650", "0.4395"),
    ("3/4 BSF", "0.7482", "0.7395", "0.6948", "0.6889", "0.6927", "0.7025", "0.6669"),
    ("1 BSF", "1.0000", "0.9903", "0.9360", "0.9294", "0.9316", "0.9426", "0.8990"),
)


class Whitworth(PublishedCase):
    def test_basic_diameters(self) -> None:
        for designation, *printed in (*BASIC, *MODEL_ENGINEER):
            self.compare_basic(designation, (printed[0], printed[1], printed[2]), (0.640327, 1.280654))

    def test_limits_of_bolts_and_nuts(self) -> None:
        for designation, *worked in LIMITS:
            thread = read_designation(designation)
            bolt, close, nut = self.external(thread), self.external(thread, "close"), self.internal(thread)
            self.assertEqual((bolt.class_name, nut.class_name), ("medium", "medium"))
            for what, printed, ours in zip(
                ("major greatest", "major least", "effective greatest", "effective least", "close", "nut", "nut minor"),
                worked,
                (
                    bolt.major.maximum,
                    bolt.major.minimum,
                    bolt.pitch_diameter.maximum,
                    bolt.pitch_diameter.minimum,
                    close.pitch_diameter.minimum,
                    nut.pitch_diameter.maximum,
                    nut.minor.maximum,
                ),
                strict=True,
            ):
                self.compare(f"{designation} {what}", printed=printed, by_hand=None, ours=ours)
