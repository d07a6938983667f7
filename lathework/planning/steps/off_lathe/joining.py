"""Bringing a part together with its mate by force, heat or compound: a step of its own, with its own cautions."""

from __future__ import annotations

from collections.abc import Iterator

from lathework import cautions
from lathework.cautions import Caution
from lathework.figures import Figure
from lathework.fits.fit import FIT, FitCode
from lathework.lathe.acts import Assemble
from lathework.part.bores import BoreWork
from lathework.part.fitted import section_limits
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed
from lathework.planning.steps.fit_words import STEEL, pressed_figures
from lathework.planning.steps.holes.boring import pressed
from lathework.planning.work import Work

PRESSED = "Chamfer the leading edge of both, so that neither shaves the other. Oil both and start squarely."
SHRUNK = (
    "Or shrink it on: heat the outer part by {heat}, with the inner part cold. Push it home at once: it "
    "grips in seconds."
)
GLUED = "Do not load it until it has set. Heat releases it."
GLUE = Caution(
    "glue", "Wear gloves and cover your eyes, as its data sheet says.", "The compound irritates skin and eyes."
)
_PRESS_IN = "Press {what} in squarely and slowly until it is home."
_GLUE_IN = "Degrease both, wet both with compound, and turn {what} once as you push it home."


def _join(chucking: Chucking, key: str, made: str, code: FitCode, figures: dict[str, Figure], what: str) -> Operation:
    """One joint of a part: `what` goes in, pressed or glued."""
    glued = code == "glued"
    heat = "heat" in figures
    return Operation(
        key=keyed(key, made),
        kind="fit",
        title="Glue it in" if glued else "Press it in",
        sentence=(_GLUE_IN if glued else _PRESS_IN).replace("{what}", what),
        headline="force" if "force" in figures else "",
        figures=figures,
        tool="retaining compound" if glued else "arbor press, or the vice with soft jaws",
        edge="",
        cautions=(GLUE,) if glued else (cautions.PRESS, *((cautions.SHRINK,) if heat else ())),
        notes=(GLUED,) if glued else (PRESSED, *((SHRUNK,) if heat else ())),
        acts=(Assemble(made),),
        chucking=chucking.number,
        figure_words="" if "force" in figures else "home",
    )


def _section(placed: Placed, chucking: Chucking) -> Operation | None:
    code = placed.section.fit
    if not FIT[code].joined:
        return None
    figures = pressed_figures(code, section_limits(placed.section), STEEL)
    return _join(chucking, "join", placed.section.id, code, figures, "the part")


def _hole(work: Work, bore_work: BoreWork, chucking: Chucking) -> Operation | None:
    code, limits = bore_work.bore.fit, bore_work.limits
    if limits is None or not FIT[code].joined:
        return None
    return _join(chucking, "join-mate", bore_work.bore.id, code, pressed(work, bore_work, limits), "the mating part")


def joints(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Every joint that is made by force, heat or compound, when the part is made, told with the last `chucking`; none
    where the job says in its own words what is done then."""
    if work.part.afterwards:
        return
    for placed in chucking.placed:
        yield _section(placed, chucking)
    for found in work.bores:
        yield _hole(work, found, chucking)
