"""Drilling the plan: a model of its own opens holes by the plan's steps, and what is left must be the part's holes.

The model knows nothing of how plans are made: it holds a hole's diameter at many places along the axis, opens it as
each step says, and turns the piece end for end where the chucking changes.
"""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.figures import Figure
from lathework.holes.depth import POINT_SHARE
from lathework.job.document import read_document
from lathework.part.model import Bore
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan
from lathework.tests.samples import bore, document, section
from lathework.threads.limits import internal_limits
from lathework.units import convert

STEP = 0.25
NEAR = 0.02
"""Millimetres."""
NEAR_FIT, BORED_FROM = 0.06, 9.0
"""Millimetres over its size that a bored fit may be; the smallest hole that takes a boring tool (practice)."""
LEAD, CHIPS = 3.0, 1.0
"""Threads of a second tap's lead at least, and of room for chips (trade practice: 3 to 5, and some)."""
THREADS = ("M4", "M6", "M8x1", "1/4-20", "3/8-16", "2 BA", "1/4 BSW")


class Piece:
    """The hole as diameters at places along the axis, from the right-hand end of the part."""

    def __init__(self, made: Plan) -> None:
        self.made, self.overall = made, made.job.part.overall_mm
        self.places = [STEP * (n + 0.5) for n in range(int(self.overall / STEP))]
        self.open = [0.0] * len(self.places)

    def drill(self, operation: Operation) -> None:
        """Open the hole as far as the point of the drill, from the face that the step sees."""
        cut = operation.cut
        assert cut is not None
        from_right = self.made.chuckings[operation.chucking - 1].faces == "right"
        for n, place in enumerate(self.places):
            behind = place if from_right else self.overall - place
            deep = cut.left_mm - behind
            if deep > 0:
                # The point narrows to nothing over its own length, but a hole cut off at the far end has none left.
                through = cut.left_mm >= self.overall - NEAR
                flat = operation.key.startswith("bore:")
                width = cut.outer_mm if through or flat else min(cut.outer_mm, deep / POINT_SHARE)
                self.open[n] = max(self.open[n], width)


def _mm(figure: Figure) -> float:
    return convert(figure.value, "in" if figure.unit == "in" else "mm", "mm")


def _within(hole: Bore, place: float, overall: float) -> bool:
    """Whether a place lies in the full depth of a hole."""
    behind = place if hole.end == "right" else overall - place
    return hole.depth is None or behind < hole.depth.mm - NEAR


class DrillAndCompare(unittest.TestCase):
    def wanted(self, hole: Bore) -> tuple[float, float]:
        """Least and greatest diameter of the drill for a hole."""
        if hole.across is not None:
            # H7 and H8 lie within five hundredths over their size up to 50 mm (ISO 286-1).
            over = NEAR_FIT if hole.fit else NEAR
            return hole.across.mm - NEAR, hole.across.mm + over
        thread = hole.thread
        assert thread is not None
        limits = internal_limits(thread)
        assert limits is not None
        # Where no drill is within the class, handbooks still tap down to 55 per cent thread.
        depth = thread.major - 0.55 * (1.299038 if thread.form.angle_deg == 60 else 1.280654) * thread.pitch
        minor = limits.minor
        least, most = (convert(value, thread.unit, "mm") for value in (minor.minimum, max(minor.maximum, depth)))
        return least - NEAR, most + NEAR

    def check(self, made: Plan) -> None:
        piece = Piece(made)
        for operation in made.operations:
            if operation.kind == "drill":
                piece.drill(operation)
        holes = made.job.part.bores
        for place, width in zip(piece.places, piece.open, strict=True):
            here = [hole for hole in holes if _within(hole, place, piece.overall)]
            spans = [self.wanted(hole) for hole in here]
            if spans:
                least = max(low for low, _ in spans)
                self.assertGreaterEqual(width, least, f"not drilled out at {place:.2f}")
            most = max((high for hole in holes for high in [self.wanted(hole)[1]]), default=0.0)
            self.assertLessEqual(width, most, f"drilled too wide at {place:.2f}")

    def check_taps(self, made: Plan) -> None:
        """A tap has a way out, or a hole at full diameter for its lead and chips; none is driven into a dead end."""
        drilled: dict[str, Operation] = {}
        for operation in made.operations:
            hole = operation.key.partition(":")[2]
            if operation.kind == "drill" and not operation.key.startswith("pilot:"):
                drilled[hole] = operation
            if not operation.key.startswith("tap:"):
                continue
            bored = next(one for one in made.job.part.bores if one.id == hole)
            thread, keys = bored.thread, [step.key for step in made.operations]
            assert thread is not None
            on_the_bar = "part-off" in keys and keys.index(operation.key) < keys.index("part-off")
            if bored.depth is None and not on_the_bar:
                continue
            wanted = made.job.part.overall_mm if bored.depth is None else bored.depth.mm
            opened = drilled[hole]
            point = POINT_SHARE * _mm(opened.figures["drill"]) if "drill" in opened.figures else 0.0
            full = _mm(opened.figures["depth"]) - point
            self.assertGreaterEqual(full, wanted + (LEAD + CHIPS) * thread.pitch_mm - NEAR, operation.key)
            self.assertFalse({"speed", "stop"} & set(operation.figures), "power into a dead end")
            self.assertNotIn("spiral point", operation.tool)

    def check_order(self, made: Plan) -> None:
        """Spot before drilling, smaller holes first; each thread tapped once, then tried."""
        for chucking in made.chuckings:
            kinds = [step.kind for step in made.operations if step.chucking == chucking.number]
            through = any(hole.depth is None for hole in made.job.part.bores)
            if "drill" in kinds and not (chucking.second and through):
                self.assertLess(kinds.index("spot"), kinds.index("drill"))
            here = [step for step in made.operations if step.chucking == chucking.number and step.kind == "drill"]
            sizes = [o.cut.outer_mm for o in here if o.cut and not o.key.startswith("pilot:")]
            self.assertEqual(sizes, sorted(sizes))
        threads = [hole for hole in made.job.part.bores if hole.thread is not None]
        keys = [step.kind for step in made.operations]
        self.assertEqual((keys.count("tap"), keys.count("gauge")), (len(threads), len(threads)))

    def test_a_body_drilled_from_both_ends(self) -> None:
        made = make_plan(
            read_document(
                document(
                    {
                        "unit": "mm",
                        "part.stock.across": "30",
                        "part.overall_length": "60",
                        "part.sections": [section("bar")],
                        "part.bores": [
                            bore(across="3"),
                            bore("M8", depth="15"),
                            bore(across="11", depth="20", end="left"),
                        ],
                        "setup.groove_blade": "3",
                        "setup.parting_blade": "2",
                    }
                )
            )
        )
        self.check(made)
        self.check_taps(made)
        self.check_order(made)

    def any_hole(self, data: st.DataObject, length: float, across: float, *, threaded: bool) -> dict[str, str]:
        """A tapped hole; or a plain one, drilled or bored, to a fit now and then: one over another is a counterbore."""
        size = data.draw(st.one_of(st.floats(1.5, 12), st.floats(1.5, 0.8 * across)))
        fit = data.draw(st.sampled_from(["", "slide", "running"])) if size > BORED_FROM and not threaded else ""
        return bore(
            data.draw(st.sampled_from(THREADS)) if threaded else "",
            "" if threaded else f"{size:.1f}",
            data.draw(st.sampled_from(["", f"{data.draw(st.floats(4, length / 2 - 3)):.2f}"])),
            data.draw(st.sampled_from(["right", "left"])),
            fit=fit,
        )

    def any_body(self, data: st.DataObject) -> Plan:
        """The plan of a random body that the reader takes."""
        length, across = data.draw(st.floats(30, 120)), data.draw(st.floats(18, 50))
        holes = [
            self.any_hole(data, length, across, threaded=threaded)
            for threaded in data.draw(st.lists(st.booleans(), min_size=1, max_size=4))
        ]
        changes: dict[str, Any] = {
            "unit": "mm",
            "part.stock.across": f"{across:.2f}",
            "part.overall_length": f"{length:.2f}",
            "part.sections": [section("bar")],
            "part.bores": [*holes, bore("M3", depth="4")],
            "method.order": data.draw(st.sampled_from(["from-the-bar", "blanks-first"])),
            "method.tapping": data.draw(st.sampled_from(["by-centre", "slipping-hand", "slipping-chuck", "in-vise"])),
            "method.percent": data.draw(st.sampled_from(["", "60", "80"])),
            "setup.drills": data.draw(st.sampled_from(["", "metric", "fraction, number", "3 mm, 6 mm, 10 mm"])),
            "setup.groove_blade": "2",
            "setup.parting_blade": "2",
        }
        try:
            job = read_document(document(changes))
        except InvalidDocument:
            assume(False)
        made = make_plan(job)
        assume(made.goes)
        return made

    def check_all(self, made: Plan) -> None:
        """Everything that must hold of it."""
        self.check(made)
        self.check_taps(made)
        self.check_order(made)

    @settings(max_examples=80, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
    @given(st.data())
    def test_any_body(self, data: st.DataObject) -> None:
        """Random bodies: whatever the reader takes, the plan drills and bores, and does it right."""
        self.check_all(self.any_body(data))
