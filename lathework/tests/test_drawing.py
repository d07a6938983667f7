"""The drawing: to scale, chuck on the left, dimensions that do not overlap, sound SVG."""

from __future__ import annotations

import math
import unittest
from collections.abc import Iterator
from fractions import Fraction
from itertools import combinations, product
from typing import Any
from xml.etree import ElementTree

from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st

from lathework.drawing.gears.train import train_sheet
from lathework.drawing.part.layout import CHAR, PAPER, SMALL, WIDE, lay_out
from lathework.drawing.part.view import part_sheet
from lathework.drawing.shapes import Label, Sheet, box, hatch, mirrored
from lathework.drawing.svg import sheet_svg
from lathework.errors import InvalidDocument
from lathework.methods.gears import Train
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, plan, section, step

SVG = "{http://www.w3.org/2000/svg}"


def extent(label: Label) -> tuple[float, float, float, float]:
    """Left, right, top and bottom of a label's longer text at 14 units."""
    width = CHAR * max(len(label.inch), len(label.mm))
    left = {"start": label.x, "middle": label.x - width / 2, "end": label.x - width}[label.anchor]
    return left, left + width, label.y - 11, label.y + 3


def points(sheet: Sheet, *roles: str) -> list[tuple[float, float]]:
    return [p for path in sheet.paths if path.role in roles for line in path.lines for p in line]


class SectionLines(unittest.TestCase):
    @given(
        st.lists(st.tuples(st.floats(0, 300), st.floats(0, 200)), min_size=3, max_size=3, unique=True), st.floats(2, 12)
    )
    def test_they_fill_a_triangle_and_nothing_else(self, corners: list[tuple[float, float]], gap: float) -> None:
        """Length of all lines x gap is about the area; no line leaves the triangle."""
        (ax, ay), (bx, by), (cx, cy) = corners
        area = abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2
        edges = [math.dist(one, other) for one, other in combinations(corners, 2)]
        lines = hatch(tuple(corners), gap)
        drawn = sum(math.dist(one, other) for one, other in lines)
        self.assertLessEqual(abs(drawn * gap - area), 2 * gap * max(edges))
        for x, y in (point for line in lines for point in line):
            around = sum(
                abs((px - x) * (qy - y) - (qx - x) * (py - y)) / 2 for (px, py), (qx, qy) in combinations(corners, 2)
            )
            self.assertAlmostEqual(around, area, delta=0.01 + 1e-6 * area)


class HalfSection(unittest.TestCase):
    HOLES = ({"end": "right", "thread": "#8-32", "depth": "3/4"}, {"end": "left", "across": "1/4", "depth": "1/2"})

    def test_metal_above_the_axis_is_cut_open(self) -> None:
        """The hatched metal and the holes lie above the axis; the tapped hole is as wide as drilled, to scale."""
        made = plan({"part.bores": list(self.HOLES), "part.stock.across": "1"})
        sheet = part_sheet(made, WIDE)
        axis = next(y for path in sheet.paths if path.role == "centre" for line in path.lines for _, y in line)
        clear = points(sheet, "bore")
        self.assertTrue(all(y <= axis + 0.01 for _, y in clear))
        drill = step(made, "drill")
        assert drill is not None
        wide = [axis - y for _, y in clear]
        self.assertTrue(any(abs(2 * w / sheet.scale / 25.4 - drill.figures["drill"].value) < 0.001 for w in wide))

    @settings(max_examples=80, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
    @given(st.data())
    def test_any_holes_lie_in_the_metal_and_their_labels_apart(self, data: st.DataObject) -> None:
        ends = st.sampled_from(["right", "left", "across"])
        holes = []
        for end in data.draw(st.lists(ends, min_size=1, max_size=4)):
            hole = {"end": end, "across": f"{data.draw(st.floats(0.06, 0.35)):.3f}"}
            hole["depth"] = data.draw(st.sampled_from(["", f"{data.draw(st.floats(0.1, 0.9)):.3f}"]))
            if end == "across":
                hole["at"] = f"{data.draw(st.floats(0.2, 2.3)):.3f}"
            holes.append(hole)
        try:
            made = plan({"part.bores": holes, "part.stock.across": f"{data.draw(st.floats(0.5, 2)):.2f}"})
        except InvalidDocument:
            assume(False)
        for chucking, frame in product(made.chuckings, (WIDE, PAPER)):
            sheet = part_sheet(made, frame, chucking.number)
            top = min(y for _, y in points(sheet, "part"))
            left, right = min(x for x, _ in points(sheet, "chuck")), max(x for x, _ in points(sheet, "part"))
            for x, y in points(sheet, "bore", "hidden"):
                self.assertTrue(left <= x <= right + 0.5 and y >= top - 0.5, (x, y))
            still = [label for label in sheet.labels if not label.step]
            for one, other in combinations(still, 2):
                a, b = extent(one), extent(other)
                self.assertTrue(a[1] <= b[0] or b[1] <= a[0] or a[3] <= b[2] or b[3] <= a[2], (one.inch, other.inch))
            for label in still:
                a = extent(label)
                self.assertTrue(a[0] >= 0 and a[1] <= sheet.width and a[2] >= 0 and a[3] <= sheet.height, label.inch)

    def test_a_part_without_holes_is_whole(self) -> None:
        self.assertEqual(points(part_sheet(plan(), WIDE), "bore"), [])


class Drawing(unittest.TestCase):
    CASES: tuple[dict[str, Any], ...] = (
        {},
        SCREW,
        {"part.sections.0.length": "0.4", "part.overall_length": "0.8"},
        {"part.overall_length": "9"},
        {"part.sections.0.thread": "3/8-32", "method.finish": "die-turned-round"},
        {"part.stock.across": "2"},
        TIE_ROD,
        PLUG,
        {**TIE_ROD, "method.order": "blanks-first"},
        {"part.stock.form": "hexagon"},
        {
            "part.stock.across": "1",
            "part.bores": [
                {"end": "right", "thread": "#8-32", "depth": "3/4"},
                {"end": "left", "across": "1/4", "depth": "1/2"},
                {"end": "across", "across": "1/8", "at": "1-7/8"},
            ],
        },
        {**TIE_ROD, "part.overall_length": "2.6"},
        *(
            {"part.sections.0.cut": cut, **more}
            for cut in ("threading-tool", "die-head")
            for more in (
                {},
                {"part.stock.across": "2"},
                {"part.overall_length": "9"},
                {"part.sections.0.length": "0.4"},
            )
        ),
        {"part.sections.0.cut": "threading-tool", "part.sections.0.thread": "3/8-16 LH", "method.finish": "run-out"},
        {
            "part.overall_length": "3",
            "part.stock.across": "3/4",
            "part.sections": [
                section("thread", "3/8", thread="1/4-28"),
                section("round", "0.1", across="0.3"),
                section("thread", "1/2", thread="3/8-24"),
                section("knurl", "1/2", across="0.6"),
                section("bar"),
                section("flats", "1/4", across="0.4"),
                section("round", "1/8", across="1/2"),
                section("thread", "3/8", thread="1/4-28"),
            ],
        },
    )

    def test_proportions_are_real(self) -> None:
        """Thread length over bar diameter on the sheet is 1.25 over 0.5 as in the job."""
        made = plan()
        layout = lay_out(made.chuckings[0], WIDE, 3)
        along = layout.x(0) - layout.x(1.25 * 25.4)
        across = layout.bottom(12.7) - layout.top(12.7)
        self.assertAlmostEqual(along / across, 2.5)

    def test_the_chuck_is_on_the_left_and_everything_on_the_sheet(self) -> None:
        for change in self.CASES:
            for frame in (WIDE, PAPER, SMALL):
                sheet = part_sheet(plan(change), frame)
                with self.subTest(change=change, frame=frame.width):
                    jaw = max(x for x, _ in points(sheet, "jaw"))
                    self.assertLess(jaw, max(x for x, _ in points(sheet, "part")))
                    for x, y in points(sheet, "part", "chuck", "jaw", "dimension", "ghost"):
                        self.assertTrue(-0.5 <= x <= sheet.width + 0.5 and -0.5 <= y <= sheet.height + 0.5, (x, y))

    def sheets(self) -> Iterator[tuple[dict[str, Any], Sheet]]:
        """Every chucking of every case."""
        for change in self.CASES:
            made = plan(change)
            for chucking, frame in product(made.chuckings, (WIDE, PAPER)):
                yield change, part_sheet(made, frame, chucking.number)

    def test_no_size_stands_under_a_tool(self) -> None:
        """Of the usual parts, where one turns or threads: there is room beside it."""
        for name, change in (("screw", SCREW), ("plug", PLUG), ("tie rod", TIE_ROD)):
            made = plan(change)
            for number in range(1, len(made.chuckings) + 1):
                sheet = part_sheet(made, WIDE, number)
                still = [extent(label) for label in sheet.labels if not label.step]
                for path in sheet.paths:
                    if path.role != "tool" or path.step.partition(":")[0] not in ("turn", "thread", "finish"):
                        continue
                    for line in path.lines:
                        across, down = [x for x, _ in line], [y for _, y in line]
                        for left, right, top, bottom in still:
                            apart = left > max(across) or right < min(across) or top > max(down) or bottom < min(down)
                            with self.subTest(name, holding=number, step=path.step):
                                self.assertTrue(apart, (left, top))

    def test_labels_do_not_overlap_and_stay_on_the_sheet(self) -> None:
        for change, sheet in self.sheets():
            still = [label for label in sheet.labels if not label.step]
            for one, other in combinations(still, 2):
                a, b = extent(one), extent(other)
                apart = a[1] <= b[0] or b[1] <= a[0] or a[3] <= b[2] or b[3] <= a[2]
                with self.subTest(change=change, labels=(one.inch, other.inch)):
                    self.assertTrue(apart)
            for label in sheet.labels:
                left, right, top, bottom = extent(label)
                with self.subTest(change=change, label=label.inch):
                    self.assertTrue(left >= 0 and right <= sheet.width and top >= 0 and bottom <= sheet.height)

    def test_every_cutting_step_has_its_metal_and_its_tool(self) -> None:
        made = plan(SCREW)
        sheet = part_sheet(made, WIDE)
        for operation in made.operations:
            roles = {path.role for path in sheet.paths if path.step == operation.key}
            with self.subTest(operation.key):
                self.assertEqual(roles, {"removal", "tool"} if operation.cut else set())

    def test_what_is_said_of_a_tool_stands_apart_from_its_name(self) -> None:
        for change, sheet in self.sheets():
            for one, other in combinations([label for label in sheet.labels if label.step], 2):
                a, b = extent(one), extent(other)
                apart = a[1] <= b[0] or b[1] <= a[0] or a[3] <= b[2] or b[3] <= a[2]
                with self.subTest(change=change, labels=(one.inch, other.inch)):
                    self.assertTrue(apart or one.step != other.step)

    def test_the_compound_is_drawn_at_its_angle(self) -> None:
        """29.5 degrees from square for 60: from the tailstock's side, from the headstock's for a left-hand thread."""
        for thread, toward in (("3/8-16", 1), ("3/8-16 LH", -1)):
            cut = {"part.sections.0.cut": "threading-tool", "method.finish": "run-out"}
            sheet = part_sheet(plan(cut | {"part.sections.0.thread": thread}), WIDE)
            for key in ("gear:s1", "screwcut:s1"):
                (lines,) = [path.lines for path in sheet.paths if path.step == key and path.role == "leader"]
                (x, y), (far_x, far_y) = lines[0]
                self.assertAlmostEqual(math.degrees(math.atan2(far_x - x, y - far_y)), toward * 29.5)
                self.assertIn("29.5°", [label.inch for label in sheet.labels if label.step == key])

    def test_a_head_stands_past_its_stop_by_what_it_overruns(self) -> None:
        """Nobody measured it: two turns of 16 to the inch, an eighth."""
        sheet = part_sheet(plan({"part.sections.0.cut": "die-head"}), WIDE)
        own = {path.role: path.lines for path in sheet.paths if path.step == "thread:s1"}
        stop = own["leader"][0][0][0]
        chasers = min(x for line in own["tool"] for x, _ in line)
        self.assertAlmostEqual((stop - chasers) / sheet.scale, 25.4 / 8)

    def test_every_dimension_can_be_typed_over(self) -> None:
        fields = {label.field for label in part_sheet(plan(SCREW), WIDE).labels if label.field}
        lengths = {f"part.sections.{n}.length" for n in range(3)}
        across = {"part.sections.0.thread", "part.sections.1.across", "part.stock.across"}
        self.assertEqual(fields, {"part.overall_length"} | lengths | across)

    def test_svg_is_sound_and_safe(self) -> None:
        made = plan({"part.sections.0.thread": "1/4 bsp", "part.stock.across": "5/8"})
        for unit in ("in", "mm"):
            root = ElementTree.fromstring(sheet_svg(part_sheet(made, WIDE), unit))
            self.assertEqual(root.tag, f"{SVG}svg")
            texts = [node.text for node in root.iter(f"{SVG}text")]
            self.assertIn("2.000" if unit == "in" else "50.80", texts)
            self.assertIn("G1/4", texts)

    @settings(max_examples=80)
    @given(st.floats(0.35, 5), st.floats(0.4, 10), st.floats(1.1, 3))
    def test_any_proportion_fits_its_frame(self, length: float, bar: float, more: float) -> None:
        made = plan(
            {
                "part.stock.across": f"{max(bar, 0.38):.3f}"[:6] if bar < 5.9 else "5.9",
                "part.sections.0.length": f"{length:.3f}",
                "part.overall_length": f"{length * more + 0.1:.3f}",
            }
        )
        for frame in (WIDE, PAPER, SMALL):
            sheet = part_sheet(made, frame)
            for x, y in points(sheet, "part", "jaw"):
                self.assertTrue(-0.5 <= x <= sheet.width + 0.5 and -0.5 <= y <= sheet.height + 0.5, (x, y))


class Shapes(unittest.TestCase):
    def test_hatching_stays_in_its_box(self) -> None:
        for line in hatch(box(10, 20, 60, 50)):
            for x, y in line:
                self.assertTrue(10 <= x <= 60 and 20 - 1e-9 <= y <= 50 + 1e-9)

    def test_mirrored_twice_is_the_same(self) -> None:
        corners = box(1, 2, 3, 4)
        self.assertEqual(mirrored(mirrored(corners, 7), 7), corners)


class Trains(unittest.TestCase):
    @given(st.lists(st.integers(18, 127), min_size=2, max_size=6, unique=True).filter(lambda some: len(some) % 2 == 0))
    def test_wheels_that_mesh_touch(self, teeth: list[int]) -> None:
        """Each driving wheel's pitch circle touches the driven one's; every label stands on the sheet."""
        train = Train(tuple(teeth[::2]), tuple(teeth[1::2]), Fraction(0), meshes=True)
        sheet = train_sheet(train)
        circles = []
        for path in sheet.paths:
            if path.role in ("edge", "part", "ghost"):
                xs, ys = [x for x, _ in path.lines[0]], [y for _, y in path.lines[0]]
                circles.append(((max(xs) + min(xs)) / 2, (max(ys) + min(ys)) / 2, (max(xs) - min(xs)) / 2))
        meshing = [pair for pair in zip(circles, circles[1:], strict=False) if math.dist(pair[0][:2], pair[1][:2]) > 1]
        self.assertEqual(len(meshing), len(teeth) // 2 + (len(teeth) == 2), "an idler joins a single pair")
        for (x0, y0, r0), (x1, y1, r1) in meshing:
            self.assertAlmostEqual(math.hypot(x1 - x0, y1 - y0), r0 + r1, delta=0.5)
        for label in sheet.labels:
            self.assertLess(label.x + CHAR * len(label.inch), sheet.width)
            self.assertTrue(0 < label.y < sheet.height)
