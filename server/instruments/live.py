"""The stream of a job's bench: where the tool is, how far it is to go, and what an instrument sent."""

from __future__ import annotations

import time
from collections.abc import Callable, Iterator

from lathework.answers.declared_answer import answer
from lathework.answers.values import Shown, length_shown
from lathework.bench.live import WARNINGS, ToGo, Warned, to_go_across, to_go_along
from lathework.instruments.believed import doubt
from lathework.planning.operation import Operation
from lathework.shop.lathe_facts import Readout
from lathework.units import show_length
from server.instruments.corrections import correction
from server.instruments.hub import HUB, TICK_S, Heard
from server.jobs.queries import jobs, standings
from server.jobs.standing import standing
from server.site.streams import Places, event

BEAT_S = 1.0
"""How often a stream says that it lives, and looks whether the bench went on, in seconds."""
MOST_STREAMS = 24
PLACES = Places(MOST_STREAMS)


@answer
class AxisShown:
    """An axis of a readout: where it is, how far it is to go, signed, None where the step has no end there; what is
    warned of, and in `words`."""

    axis: str
    at: Shown
    to_go: Shown | None
    warned: Warned
    words: str


@answer
class LiveShown:
    """A readout as it stands; `doubt` says why it is not believed, "" where it is."""

    name: str
    axes: tuple[AxisShown, ...]
    doubt: str


@answer
class SentShown:
    """A reading that an instrument sent, as it would be typed, its offset taken off; `doubt` why it is refused."""

    name: str
    typed: str
    within: Shown | None
    doubt: str


def _axis(axis: str, mm: float, left: ToGo | None) -> AxisShown:
    told = length_shown(left.left_mm) if left else None
    warned: Warned = left.warned if left else ""
    return AxisShown(axis, length_shown(mm), told, warned, WARNINGS[warned])


def live_shown(heard: Heard, step: Operation | None, readout: Readout, now_s: float) -> LiveShown:
    """What a readout shows at `now_s` (seconds), against the step in hand."""
    sample = heard.sample
    told = doubt(sample, None, now_s) or heard.doubt
    along = to_go_along(step, sample, readout) if step and not told else None
    across = to_go_across(step, sample) if step and not told else None
    axes = (_axis("X", sample.axes["x"], across), _axis("Z", sample.axes["z"], along))
    return LiveShown(sample.name, axes, told)


def sent_shown(heard: Heard) -> SentShown:
    """A reading as it would be typed, in millimetres, with what the instrument is off by."""
    known = correction(heard.sample.name)
    mm = heard.sample.axes["length"] + (known.correction_mm if known else 0.0)
    within = length_shown(known.uncertainty_mm) if known else None
    return SentShown(heard.sample.name, f"{show_length(mm, 'mm', 'mm')} mm", within, heard.doubt)


class _InHand:
    """The step in hand of a job: looked up again only when something was recorded or changed."""

    def __init__(self, job: int) -> None:
        self.job, self.seen = job, (-1, -1)
        self.step: Operation | None = None
        self.readout: Readout = "readout"

    def look(self) -> None:
        """See whether the bench went on."""
        row = standings().filter(pk=self.job).values_list("last_entry", "job__revision").first()
        if row is None or row == self.seen:
            return
        now = standing(jobs().get(pk=self.job))
        self.seen, self.step = row, now.bench.step
        self.readout = now.bench.plan.job.setup.readout


def _shown(in_hand: _InHand, now_s: float) -> Iterator[bytes]:
    """Where each readout stands."""
    for heard in HUB.shown().values():
        if heard.sample.source == "readout":
            yield event("live", live_shown(heard, in_hand.step, in_hand.readout, now_s))


def _sent(seen: int, newest: int) -> Iterator[bytes]:
    """What was sent after number `seen` and up to `newest`: what comes meanwhile is told once, with the next."""
    for heard in HUB.sent(seen):
        if heard.sample.source == "caliper" and heard.number <= newest:
            yield event("sent", sent_shown(heard))


def events(job: int, still: Callable[[], bool]) -> Iterator[bytes]:
    """The events of a job's bench, for as long as whoever listens is `still` known."""
    in_hand, seen, beat_s = _InHand(job), HUB.newest(), 0.0
    yield b": conch\n\n"
    while not HUB.closed:
        HUB.tick(time.time())
        newest = HUB.wait(seen, TICK_S if HUB.stand_in else BEAT_S)
        now_s = time.time()
        if now_s - beat_s >= BEAT_S:
            if not still():
                return
            in_hand.look()
            yield b": beat\n\n"
            # What fell silent is told, too.
            yield from _shown(in_hand, now_s)
            beat_s = now_s
        if newest > seen:
            yield from _shown(in_hand, now_s)
            yield from _sent(seen, newest)
            seen = newest
            # However often an instrument speaks, a person is told so often.
            time.sleep(TICK_S)
