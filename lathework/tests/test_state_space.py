"""The belief in a slide against a published example of state-space models.

With nothing sprung, nothing held and a dial that moves what it says, the four quantities come down to one that wanders:
the local level model. Source: Durbin and Koopman, Time Series Analysis by State Space Methods (2001), chapter 2, the
annual flow of the Nile at Aswan 1871 to 1970, its variances, its last filtered level and its likelihood, from memory.
"""

from __future__ import annotations

import math
import unittest
from itertools import pairwise
from unittest import mock

from lathework.cutting.to_size import spring_back
from lathework.cutting.to_size.pass_made import PassMade
from lathework.cutting.to_size.spring_back import SIZE, SlideBelief

NILE = """
1120 1160 963 1210 1160 1160 813 1230 1370 1140 995 935 1110 994 1020 960 1180 799 958 1140 1100 1210 1150 1250 1260
1220 1030 1100 774 840 874 694 940 833 701 916 692 1020 1050 969 831 726 456 824 702 1120 1100 832 764 821 768 845 864
862 698 845 744 796 1040 759 781 865 845 944 984 897 822 1010 771 676 649 846 812 742 801 1040 860 874 848 890 744 749
838 1050 918 986 797 923 975 815 1020 906 901 1170 912 746 919 718 714 740
"""
READ_OFF, WANDERS = 15_099.0, 1_469.1
"""Variances of a reading and of the level from year to year, by maximum likelihood."""
LAST_LEVEL, LAST_VARIANCE, LIKELIHOOD = 798.37, 4032.16, -632.54
"""The filtered level of 1970 with its variance, which has come to rest; the logarithm of the diffuse likelihood."""


class LocalLevel(unittest.TestCase):
    def test_the_flow_of_the_nile(self) -> None:
        flow = [float(word) for word in NILE.split()]
        self.assertEqual(len(flow), 100)
        self.assertAlmostEqual(sum(flow) / 100, 919.35)
        covariances = [[0.0] * 4 for _ in range(4)]
        # Before the first reading nothing is known: after it, the level is as far off as the reading may be.
        covariances[SIZE][SIZE] = READ_OFF
        belief = SlideBelief([0.0, 0.0, 0.0, 1.0], covariances)
        with mock.patch.multiple(
            spring_back,
            READING_MM=math.sqrt(READ_OFF),
            DIAL_MM=math.sqrt(WANDERS),
            WANDER_MM=0.0,
            WANDERS_SHARE=0.0,
        ):
            for before, now in pairwise(flow):
                belief.learn(PassMade(0.0, before - now))
        self.assertEqual(belief.slips, 0)
        self.assertAlmostEqual(flow[-1] + belief.over_mm, LAST_LEVEL, places=2)
        self.assertAlmostEqual(belief.covariances[SIZE][SIZE], LAST_VARIANCE, places=2)
        self.assertAlmostEqual(belief.likelihood - 99 / 2 * math.log(2 * math.pi), LIKELIHOOD, delta=0.01)


if __name__ == "__main__":
    unittest.main()
