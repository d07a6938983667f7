"""Working that works: every figure's formula, evaluated on the inputs beside it, gives the value shown."""

from __future__ import annotations

import dataclasses
import json
import random
import unittest
from collections.abc import Iterator, Mapping
from pathlib import Path
from typing import Any

from lathework.answers.book.card import Asked, card
from lathework.answers.book.hole import AskedHole, hole
from lathework.answers.book.pipe_hole import pipe_hole
from lathework.answers.gears_shown import geared
from lathework.bench.size.drift import drift
from lathework.cutting.dimension import MOVE_WORDS, Dimension, Target
from lathework.cutting.next_cut import next_cut
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.cutting.to_size.pass_made import PassMade
from lathework.dies.after_verdict import expected, learned_advice
from lathework.dies.aim import aim_at
from lathework.dies.learner import believed
from lathework.dies.memory import die_record
from lathework.dies.setting import WANTED, advise
from lathework.dies.trial import Trial
from lathework.errors import InputError, InvalidDocument
from lathework.figures import Figure
from lathework.gauging.sized import ThreadSize, measured_size
from lathework.gauging.verdicts import VERDICTS
from lathework.gauging.wires import best_wire, over_wires
from lathework.holders.workshop import designed
from lathework.instruments.offset import offset
from lathework.job.document import read_document
from lathework.job.repair import AskedRepair, stud_repair
from lathework.outfit.choosing import choosings
from lathework.planning.plan import make_plan, make_plans
from lathework.shop.lathe_facts import DIALS
from lathework.tests.samples import PLUG, SCREW, STUD, TIE_ROD, body, bore, plan, section
from lathework.tests.test_hold_and_compare import read
from lathework.threads.library import library
from lathework.threads.limits import external_classes, external_limits, internal_classes, internal_limits
from lathework.threads.mating import mate
from lathework.threads.standards.bands import Band
from lathework.threads.working import basic_figures
from lathework.units import LengthUnit, convert
from tests.contract.working import Unreadable, agrees, evaluated

DEMO = Path(__file__).resolve().parents[2] / "demo"
RANDOM_JOBS = 300
MM_BLADES = {"setup.groove_blade": "2", "setup.parting_blade": "2"}


def figures(value: Any) -> Iterator[Figure]:
    """Every figure inside a value of the core."""
    if isinstance(value, Figure):
        yield value
    elif isinstance(value, Band):
        yield from value.figures()
    elif dataclasses.is_dataclass(value) and not isinstance(value, type):
        for field in dataclasses.fields(value):
            yield from figures(getattr(value, field.name))
    elif isinstance(value, Mapping):
        for one in value.values():
            yield from figures(one)
    elif isinstance(value, list | tuple):
        for one in value:
            yield from figures(one)


class Working(unittest.TestCase):
    def check(self, value: Any) -> int:
        """Every figure in `value` follows from its formula; how many were computed."""
        computed = 0
        for figure in figures(value):
            if figure.kind != "computed":
                self.assertTrue(figure.formula, figure.name)
                continue
            computed += 1
            told = f"{figure.name} = {figure.value} {figure.unit}: {figure.formula} {figure.inputs}"
            try:
                found = evaluated(figure)
            except Unreadable as error:
                self.fail(f"{told}: {error}")
            self.assertTrue(agrees(figure, found), f"{told} gives {found}")
        return computed

    def test_every_plan_of_the_demo(self) -> None:
        for file in sorted(DEMO.glob("*.json")):
            told = json.loads(file.read_text(encoding="utf-8"))
            if told.get("format") == "conch-job":
                with self.subTest(file.name):
                    self.assertGreater(self.check(make_plans(read_document(told))), 20)

    def test_every_way_of_the_samples(self) -> None:
        worked = 0
        for base in ({}, SCREW, TIE_ROD, PLUG):
            for change in (
                {"setup.dial": "radius"},
                {"setup.readout": "stops"},
                {"method.finish": "run-out"},
                {"method.finish": "die-turned-round"},
                {"method.order": "blanks-first"},
                {"method.holder": "keyed-power"},
                {"setup.groove_edge": "right", "setup.parting_edge": "right"},
                {"unit": "mm", "part.stock.across": "1 in"},
                {"method.blank_school": "mid-limits"},
                {"method.support": "centre"},
                {"part.sections.0.cut": "threading-tool"},
                {"part.sections.0.cut": "threading-tool", "method.infeed": "straight", "method.point": "radius"},
                {"part.sections.0.cut": "threading-tool", "method.point": "full-form"},
                {"part.sections.0.cut": "threading-tool", "setup.leadscrew": "3 mm", "setup.gears": "20,60,63,80"},
                {"part.sections.0.cut": "threading-tool", "part.sections.0.thread": "R1/4", "method.tip": "0.2 mm"},
                {"part.sections.0.cut": "die-head"},
                {"part.sections.0.cut": "die-head", "setup.head_overrun": "0.06", "unit": "mm"},
                {"method.blank_school": "mate-takes"},
                {"method.blank_school": "mate-takes", "method.mate_minor": "0.310", "method.mate_pitch": "0.338"},
            ):
                with self.subTest(base=base, change=change):
                    try:
                        made = plan({**base, **change})
                    except InvalidDocument:
                        continue
                    worked += 1
                    self.check(made)
        self.assertGreater(worked, 40, "too many ways were refused for the check to mean much")

    def test_ways_and_gears(self) -> None:
        for base in ({}, SCREW, TIE_ROD, PLUG):
            self.check(tuple(choosings(plan(base), ())))
        self.check(tuple(choosings(plan(body(bore("M10", depth="1/2"), bore("3/4-16", end="left", depth="1/2"))), ())))
        told = geared({"pitch": "M6", "leadscrew": "8 tpi", "gears": "20 30 40 50 60 63 80"})
        self.assertGreater(self.check([told.errors(train) for train in told.settings]), 2)

    def test_tapers(self) -> None:
        for told, long in (("MT2", "2-1/2"), ("1:20", "1/2"), ("60°", "1/4"), ("1 in 50", "4")):
            cone = section("taper", long, taper=told, across="" if told == "MT2" else "5/8")
            made = plan(
                {"part.overall_length": "", "part.stock.across": "3/4", "part.sections": [cone, section("bar", "1")]}
            )
            self.assertIn("taper:s1", [step.key for step in made.operations])
            self.check(made)

    def test_sockets_and_holes_round_the_part(self) -> None:
        for told, across in (("MT2", ""), ("1:20", "18"), ("60°", "30")):
            deep = "12" if told == "60°" else "50"
            round_ = bore(across="6", depth="6", end="across", at="60", count="4")
            socket = bore(across=across, taper=told, depth=deep)
            sections = {"part.sections": [section("bar", "80")], "part.bores": [socket, round_]}
            made = plan({"unit": "mm", "part.overall_length": "", "part.stock.across": "45"} | sections | MM_BLADES)
            self.assertIn("socket:b1", {step.key for step in made.operations})
            self.check(made)

    def test_keyways_and_knurls(self) -> None:
        keyed = section("round", "40", across="25", key="8", key_length="25")
        knurled = section("knurl", "10", across="32", pattern="straight", pitch="1")
        for key, unit, bar in (("4", "mm", "35"), ("5", "mm", "35")):
            hole = bore(across="12", fit="slide", key=key)
            sections = {"part.sections": [keyed, knurled], "part.bores": [hole], "part.stock.across": bar}
            blades = {"setup.groove_blade": "2", "setup.parting_blade": "2", "part.overall_length": ""}
            made = plan({"unit": unit} | sections | blades)
            self.assertTrue({"keyway:s1", "hub-keyway:b1", "knurl:s2"} <= {step.key for step in made.operations})
            self.check(made)

    def test_fits_and_holders(self) -> None:
        ring = {"part.sections": [section("round", "1", across="7/8", fit="drive"), section("bar")]}
        for one in (bore(across="1/2", fit="press"), bore(across="1/2", fit="running", mate="0.499")):
            self.check(plan(body(one, **ring)))
        chased = bore("1-1/2-18", cut="boring-tool", depth="1/2")
        self.check(plan(body(chased, **{"part.stock.across": "2-1/4"})))
        self.check(designed("guide-bush", {"thread": "3/8-16", "seat": "5/8", "deep": "3/8"}))
        for unit, name in (("in", "1-8"), ("mm", "M10"), ("mm", "M30")):
            stock = {"die": "2 in", "thick": "5/8 in", "thread": name, "unit": unit}
            for own in ({}, {"own": {"arm": "10 in", "across": "4 in"}}):
                told = designed("die-stock", stock | own)
                self.check([told, make_plans(read_document(told.document))])
        self.check(plan(body(bore(across="1/4", fit="slide", by="reamer"))))
        self.check(plan(body(bore(across="3/4", depth="3/8", fit="slide", undercut="1/16"))))
        floating = {"die": "1", "thick": "3/8", "thread": "1/2-13", "longest": "1-1/2", "bar": "3/4"}
        self.check([designed("floating", floating | {"unit": unit}) for unit in ("in",)])
        self.check(designed("bush-set", {"threads": "1/4-20, M8", "seat": "5/8", "deep": "3/8"}))
        self.check(designed("taper-bar", {"taper": "MT2", "bar": "3/4", "out": "4"}))
        self.check([designed("tap-holder", {"shank": size, "bar": "1/2"}) for size in ("3/8", "1/4")])
        plate = {"thread": "1-1/2-8 UN", "plain": "1.6", "plain_long": "3/8", "seat": "2-1/2", "deep": "1/8"}
        self.check(designed("backplate", plate | {"wide": "4"}))
        self.check(designed("guide-bush", {"thread": "M4", "seat": "12", "unit": "mm"}))
        two = {"other": "13/16", "other_thick": "1/4", "longest": "1-1/2", "bar": "5/8"}
        self.check(designed("die-holder", {"die": "1", "thick": "3/8", "thread": "1/2-13", **two}))
        self.check(designed("sleeve", {"bar": "1/2", "seat": "13/16", "spigot": "1/4"}))

    def test_random_jobs(self) -> None:
        dice, made = random.Random(1913), 0
        while made < RANDOM_JOBS:
            job = read(dice)
            if job is None:
                continue
            made += 1
            with self.subTest(made):
                self.check(make_plan(job))

    def test_every_thread(self) -> None:
        for thread in library():
            with self.subTest(thread.designation):
                self.check(basic_figures(thread))
                self.check([external_limits(thread, name) for name in external_classes(thread)])
                self.check([internal_limits(thread, name) for name in internal_classes(thread)])

    def test_pages_of_threads(self) -> None:
        for thread in library()[::3]:
            with self.subTest(thread.designation):
                self.check(card(thread.designation, asked=Asked(plating="0.01 mm", drill=f"{thread.minor_mm:.2f} mm")))

    def test_holes(self) -> None:
        for name in ("M8", "3/8-16", "1/2 BSW", "2 BA", "G1/4", "1/2-14 NPSM", "#4-40"):
            for asked in (
                AskedHole(),
                AskedHole(percent="65"),
                AskedHole(metal="brass", depth="12 mm"),
                AskedHole(through="3 mm"),
            ):
                with self.subTest(name=name, asked=asked):
                    self.check(hole(name, asked=asked))
        for name in ("Rc1/2", "1/4 NPT", "Rc1", "1 NPT"):
            self.check(pipe_hole(name, "", "in"))

    def test_repairs(self) -> None:
        blades = {"groove_blade": "3 mm", "parting_blade": "3 mm"}
        for typed in ({}, {"engaged": "1/2"}, {"metal": "aluminium", "stud_metal": "alloy-steel"}, {"nut": "1/2"}):
            asked = AskedRepair(**{"across": "1-1/4", "thread": "1/2 BSF", **typed})
            with self.subTest(typed):
                self.check(stud_repair(asked, STUD["method"], STUD["setup"] | blades))

    def test_threads_over_threads(self) -> None:
        threads = [t for t in library() if external_classes(t)]
        for bolt, nut in zip(threads[::5], threads[3::5], strict=False):
            try:
                self.check(mate(bolt, nut))
            except InputError:
                continue

    def test_at_the_bench(self) -> None:
        dice = random.Random(7)
        target = Target(9.97, 10.0, 10.02)
        for _ in range(300):
            last, grows = dice.uniform(9.9, 16.0), dice.random() < 0.5
            most, move = dice.uniform(0.5, 3), dice.choice(list(MOVE_WORDS))
            size = Dimension(
                "diameter", "diameter", target, 16.0, most, move, grows=grows, leaves_mm=dice.choice((0.0, FINISH_MM))
            )
            last = 20.0 - last if grows else last
            passes = [
                PassMade(cut, cut * dice.uniform(0.9, 1.1), dice.random() < 0.7, follows=dice.random() < 0.7)
                for cut in (dice.uniform(0.2, 2) for _ in range(dice.randrange(4)))
            ]
            stands = dice.choice((None, False))
            for dial in DIALS:
                self.check(
                    next_cut(
                        last_mm=last,
                        dimension=size,
                        passes=passes,
                        dial=dial,
                        unit=dice.choice(("in", "mm")),
                        stands=stands,
                    )
                )

    def test_of_a_batch_and_of_instruments(self) -> None:
        dice = random.Random(9)
        units: tuple[LengthUnit, ...] = ("in", "mm")
        for unit in units:
            for _ in range(50):
                pieces = sorted(dice.sample(range(1, 40), 8))
                sizes = [10 + 0.001 * piece + dice.gauss(0, 0.01) for piece in pieces]
                self.assertEqual(self.check(drift(pieces, sizes, Target(9.9, 10.0, 10.1), unit)), 2)
        readings = [25 + dice.gauss(0, 0.01) for _ in range(5)]
        self.assertEqual(self.check(offset(readings, reference_mm=25.0, reference_within_mm=0.002, step_mm=0.01)), 2)

    def test_dies_that_are_known(self) -> None:
        """What is believed, proposed and advised after any verdicts."""
        dice = random.Random(5)
        for thread in [one for one in library() if external_classes(one) and not one.taper][::40]:
            bolt = external_limits(thread)
            assert bolt is not None
            belief = believed(aim_at(bolt, None), ())
            for _ in range(6):
                eighths = dice.choice((-2.0, -0.5, 0.0, 0.5, 2.0))
                verdict = dice.choice(VERDICTS)
                own = belief.learn(Trial(eighths, "brass", verdict))
                self.check(learned_advice(verdict, belief, eighths, "brass", own))
                self.check(expected(belief, eighths, "brass"))
            over = over_wires(thread, best_wire(thread).value, bolt.pitch_diameter.middle).value
            size = convert(over, thread.unit, "mm")
            wire = convert(best_wire(thread).value, thread.unit, "mm")
            self.check(measured_size(thread, bolt, ThreadSize(size, wire)))
            self.check(measured_size(thread, bolt, ThreadSize(thread.pitch_mm * 8, None, 0.002)))

    def test_dies(self) -> None:
        for thread in library()[::7]:
            for verdict in WANTED:
                self.check(advise(thread, verdict))
            self.check(die_record(thread, [thread.major_mm - 0.1, thread.major_mm - 0.14, thread.major_mm - 0.12]))
