"""Keys of steps as versions 1 and 2 of the job file counted them, and what each of them makes.

They were a word, and from the second of a kind on its number: "gauge", "gauge-2". This is the order those versions
worked in; it stays as it is, whatever the order of work becomes. What it takes from the rules of today (how the
sections divide between the ends, which holes are bored, which is the smaller) is checked against keys that were kept.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator

from lathework.holes.depth import PILOT_FROM_MM
from lathework.job.model import Job
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.part.bores import BoreWork
from lathework.part.ends import far_end, near_end
from lathework.part.model import MILLED
from lathework.planning.holdings.chucking import as_bought
from lathework.planning.operation import keyed
from lathework.planning.work import Work, work_out

TITLES = {
    "saw": "Saw the blank",
    "hold": "Turn end for end",
    "face": "Face the end, set Z zero",
    "face-2": "Face to length",
    "centre": "Centre-drill, bring up the centre",
    "turn-blank": "Turn the thread blank",
    "turn-shank": "Turn the shank",
    "neck": "Plunge the neck",
    "groove": "Relief groove",
    "chamfer": "Lead chamfer",
    "edge": "Chamfer the edge",
    "knurl": "Knurl",
    "spot": "Spot the hole",
    "pilot": "Drill the pilot",
    "drill": "Drill the hole",
    "bore": "Bore for the thread",
    "ream": "Ream the taper",
    "countersink": "Countersink the mouth",
    "tap": "Tap the hole",
    "chase": "Chase the thread",
    "try": "Try the hole",
    "thread": "Run the die on, marked side first",
    "finish": "Flip the die, finish to the shoulder",
    "gauge": "Gauge with the nut",
    "part-off": "Part off",
    "flats": "Mill the flats",
    "cross-mark": "Mark and spot the cross hole",
    "cross-drill": "Drill the cross hole",
    "cross-ream": "Ream the taper",
    "cross-countersink": "Countersink the cross hole",
    "cross-tap": "Tap the cross hole",
    "fit": "Fit it",
}
"""What the steps were called, for those that the plan no longer has."""
_CUT_MM, _NECK_MM = 0.005, 0.01
Pair = tuple[str, str]


class _End:
    """One holding of the work as those versions saw it: the sections from its face on, the first `here` made in it."""

    def __init__(self, work: Work, numbers: tuple[int, ...], here: int, faces: str, *, second: bool) -> None:
        self.work, self.faces, self.second = work, faces, second
        self.made, self.order, self.here = numbers[:here], numbers, here

    def own(self, number: int) -> str:
        return self.work.part.sections[number].id

    def holes(self) -> list[BoreWork]:
        # As drawn: today's plan drills a hole right through from whichever end comes first.
        drawn = zip(self.work.bores, self.work.part.bores, strict=True)
        here = [found for found, bore in drawn if bore.end == self.faces]
        return sorted(here, key=lambda found: found.drill_mm)


def _ends(work: Work) -> tuple[_End, ...]:
    ends, part = work.ends, work.part
    first = _End(work, (*ends.first, *reversed(ends.second)), len(ends.first), near_end(ends), second=False)
    head = not ends.second and part.sections[ends.first[-1]].chamfer is not None and len(part.sections) > 1
    far = far_end(ends)
    worked = ends.second or head or any(bore.end == far for bore in part.bores)
    if part.stock.one_ended or not (worked or work.job.method.order == "blanks-first"):
        return (first,)
    return first, _End(work, (*ends.second, *reversed(ends.first)), len(ends.second), far, second=True)


def _turned(end: _End) -> Iterator[Pair]:
    """Turning, the largest diameter first, from the bar or from what the last cut left."""
    work, current, made = end.work, end.work.part.stock.corners_mm, list(end.made)
    while made:
        largest = max(made, key=work.turned_mm)
        if work.turned_mm(largest) < current - _CUT_MM:
            yield ("turn-blank" if largest in work.threads else "turn-shank"), keyed("turn", end.own(largest))
            current = work.turned_mm(largest)
        made.pop()


def _edges(end: _End) -> Iterator[Pair]:
    head_last = not end.second and end.here == len(end.order) > 1
    numbers = (end.made or end.order[:1]) if end.second else end.made[:-1] if head_last else end.made
    for number in numbers:
        section = end.work.part.sections[number]
        if section.chamfer is not None and section.thread is None:
            yield "edge", keyed("edge", f"{section.id}.{end.faces}")


def _plunged(end: _End) -> Iterator[Pair]:
    work = end.work
    for at, number in enumerate(end.made):
        section, before = work.part.sections[number], [work.turned_mm(one) for one in end.made[:at]]
        plain = section.across is not None and section.thread is None
        if plain and max(before, default=0.0) > work.turned_mm(number) + _NECK_MM:
            yield "neck", keyed("neck", section.id)
        if section.thread is not None:
            if work.threads[number].groove is not None:
                yield "groove", keyed("groove", section.id)
            yield "chamfer", keyed("chamfer", section.id)
        elif section.shape == "knurl":
            yield "knurl", keyed("knurl", section.id)


def _drilled(end: _End) -> Iterator[Pair]:
    through = (b.bore for b in end.work.bores if b.bore.depth is None)
    opened = end.second and any(bore.end not in ("across", end.faces) for bore in through)
    for at, found in enumerate(end.holes()):
        own = found.bore.id
        if at == 0 and not opened:
            yield "spot", keyed("spot", own)
            if found.drill_mm >= PILOT_FROM_MM:
                yield "pilot", keyed("pilot", own)
        kind = "bore" if found.bored else "drill"
        yield kind, keyed(kind, own)
        if found.taper is not None:
            yield "ream", keyed("ream", own)
        elif found.bore.thread is not None:
            yield "countersink", keyed("countersink", own)


def _tapped(end: _End) -> Iterator[Pair]:
    for found in end.holes():
        if found.bore.thread is None:
            continue
        kind = "chase" if found.chased and found.taper is None else "tap"
        yield kind, keyed(kind, found.bore.id)
        if found.taper is None:
            yield "try", keyed("try", found.bore.id)


def _threaded(end: _End) -> Iterator[Pair]:
    for number in end.made:
        found = end.work.threads.get(number)
        if found is not None:
            yield "thread", keyed("thread", end.own(number))
            if found.shoulder and end.work.job.method.finish == "die-turned-round":
                yield "finish", keyed("finish", end.own(number))
            yield "gauge", keyed("gauge", end.own(number))


def _held(end: _End) -> Iterator[Pair]:
    if end.second:
        yield "hold", keyed("hold", end.faces)
    yield "face", keyed("face", end.faces)
    if end.made and end.work.job.method.support == "centre":
        yield "centre", keyed("centre", end.faces)


def _lathe(work: Work, ends: tuple[_End, ...]) -> Iterator[Pair]:
    taps_off = TAP_HOLDINGS[work.job.method.tapping].off_lathe
    dies_off = DIE_HOLDINGS[work.job.method.holder].off_lathe
    for end in ends:
        yield from _held(end)
        for made in (_turned, _plunged, _drilled, *(() if taps_off else (_tapped,)), _edges):
            yield from made(end)
        yield from () if dies_off else _threaded(end)
    for end in ends:
        yield from _threaded(end) if dies_off else ()
    for end in ends:
        yield from _tapped(end) if taps_off else ()


def _after(work: Work) -> Iterator[Pair]:
    """What makes the part itself, flats and holes across: each kind by itself, so that their places do not matter."""
    sawn = work.part.stock.one_ended or work.job.method.order == "blanks-first"
    for whole in ("saw" if sawn else "part-off", *(("fit",) if work.part.afterwards else ())):
        yield whole, whole
    for section in work.part.sections:
        if section.shape in MILLED and not as_bought(work.part.stock, section):
            yield "flats", keyed("flats", section.id)
    for found in work.bores:
        if found.bore.end == "across":
            thread, taper = found.bore.thread, found.taper
            kinds = ["mark", "drill", "ream" if taper else "countersink", *(["tap"] if thread else [])]
            yield from ((f"cross-{kind}", keyed(f"cross-{kind}", found.bore.id)) for kind in kinds)


def second_keys(job: Job) -> dict[str, str]:
    """The key of today for each key that a plan of the job's first part had in versions 1 and 2."""
    work = work_out(job)
    seen: Counter[str] = Counter()
    keys: dict[str, str] = {}
    for old, new in (*_lathe(work, _ends(work)), *_after(work)):
        seen[old] += 1
        keys[old if seen[old] == 1 else f"{old}-{seen[old]}"] = new
    return keys


def lifted_key(old: str, keys: dict[str, str]) -> str:
    """The key of today for an old one; one that the plan no longer had is kept as something that is gone.

    >>> lifted_key("gauge-2", {}), lifted_key("face", {"face": "face:right"}), lifted_key("nonsense", {})
    ('gauge:gone-2', 'face:right', 'fit')
    """
    if old in keys or not old:
        return keys.get(old, "")
    word, _, number = old.rpartition("-")
    base = word if number.isdecimal() and word in TITLES else old
    kind = {"turn-blank": "turn", "turn-shank": "turn"}.get(base, base)
    if base not in TITLES or kind in ("saw", "part-off", "fit"):
        return kind if kind in TITLES else "fit"
    if kind in ("hold", "face", "centre"):
        return keyed(kind, "left" if base != old else "right")
    gone = "gone" if base == old else f"gone-{number}"
    return keyed(kind, f"{gone}.right" if kind == "edge" else gone)


def old_title(old: str) -> str:
    """What a step of that old key was called; the key itself where nobody knows."""
    word, _, number = old.rpartition("-")
    return TITLES.get(old) or (TITLES.get(word, old) if number.isdecimal() else old)
