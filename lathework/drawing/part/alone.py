"""The finished part by itself, without lathe or steps: the sketch of a job that is being typed."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

from lathework.drawing.part.dimensions import chain_of, hole_runs, length_rows, rows_of, whole_run
from lathework.drawing.part.labels import holes_named, names
from lathework.drawing.part.layout import Frame, Layout, lay_out
from lathework.drawing.part.outline import HEAD_HIGH, bolt_head
from lathework.drawing.part.view import body, centre_line
from lathework.drawing.shapes import Path, Sheet, box
from lathework.planning.holdings.chucking import Chucking, place
from lathework.planning.plan import Plan

BESIDE = Frame(width=720, height=330, chuck=56, right=110, top=44, bottom=16, dimensioned=True)
"""The drawing beside a form."""
BELOW = Frame(width=420, height=260, chuck=28, right=84, top=44, bottom=16, dimensioned=True, true_pitch=4.0)
"""The same on a screen as wide as a phone."""
STAMP = Frame(width=150, height=64, chuck=8, right=8, top=6, bottom=6, dimensioned=False, true_pitch=2.0)
"""The silhouette of a beginning."""


def _stood(plan: Plan) -> Chucking:
    """The whole part as if it were held by nothing, every section finished."""
    first = plan.chuckings[0]
    count = len(plan.job.part.sections)
    placed = place(plan.work, tuple(range(count)))
    ends = plan.work.ends
    # Those made from the right-hand end.
    own = len(ends.second if ends.turned_about else ends.first)
    return replace(
        first,
        number=1,
        faces="right",
        second=True,
        placed=placed,
        own=own,
        here=own,
        stick_out_mm=placed[-1].far_mm,
        does=("face", "turn", "part"),
        chucked_mm=0.0,
        spare_mm=0.0,
    )


def _cut_off(layout: Layout, plan: Plan, chucking: Chucking) -> list[Path]:
    """What comes off a bolt that is longer than it shall be."""
    now, shank = plan.job.part.stock.bar_length, plan.job.part.stock.across.mm
    if plan.job.part.stock.form != "bolt" or now is None or now.mm <= chucking.overall_mm:
        return []
    off = chucking.overall_mm - now.mm
    return [Path("ghost", (box(layout.x(0), layout.top(shank), layout.x(off), layout.bottom(shank)),), closed=True)]


def _room(plan: Plan, chucking: Chucking, frame: Frame) -> Frame:
    """The frame with room for a bolt's head at its left and for what comes off at its right."""
    stock, overall = plan.job.part.stock, chucking.overall_mm
    if stock.form != "bolt":
        return frame
    behind = HEAD_HIGH * stock.across.mm
    before = max(0.0, stock.bar_length.mm - overall) if stock.bar_length else 0.0
    along = frame.width - frame.chuck - frame.right
    scale = along / (overall + behind + before)
    return replace(frame, chuck=frame.chuck + behind * scale, right=frame.right + before * scale)


def part_alone(plan: Plan, frame: Frame, shows: Callable[[str], bool]) -> Sheet:
    """The finished part of `plan` to scale in `frame`, with the sizes whose fields it `shows`."""
    chucking = _stood(plan)
    frame = _room(plan, chucking, frame)
    chain = [run for run in chain_of(chucking) if shows(run.field)]
    under = [run for run in (*hole_runs(plan, chucking), whole_run(chucking)) if shows(run.field)]
    if len(chucking.placed) == 1 and chain:
        under = [run for run in under if run.field != "part.overall_length"]
    rows = rows_of(chain, under, chucking, frame, holes_named(plan, chucking)) if frame.dimensioned else 0
    layout = lay_out(chucking, frame, rows, holes_named(plan, chucking) if frame.dimensioned else 0)
    paths = [
        *_cut_off(layout, plan, chucking),
        *bolt_head(layout, plan, chucking),
        *body(layout, plan, chucking),
        centre_line(layout, chucking),
    ]
    if not frame.dimensioned:
        return Sheet(layout.frame.width, layout.frame.height, tuple(paths[:-1]), (), "", layout.scale)
    lines, lengths = length_rows(layout, chain, under)
    leaders, named = names(layout, plan, chucking, shows=shows, held=False)
    title = f"{plan.job.part.designations}: the part as bought typed, to scale"
    return Sheet(
        layout.frame.width, layout.frame.height, (*paths, *lines, *leaders), (*lengths, *named), title, layout.scale
    )
