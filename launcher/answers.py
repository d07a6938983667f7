"""`conch size` and `conch plan`: the core's answers on the command line, nothing installed for them."""

from __future__ import annotations

import json
import sys
from dataclasses import asdict, dataclass
from pathlib import Path
from typing import Any

from lathework.answers.book.hole import AskedHole, Hole, hole
from lathework.answers.book.hole_shown import hole_numbers, pipe_hole_numbers
from lathework.answers.book.pipe_hole import PipeHole, pipe_hole
from lathework.answers.identified_shown import identified_shown
from lathework.answers.plan_shown import plan_shown
from lathework.answers.printed import headline_text, notes_text, sentence_text
from lathework.answers.size import Size, size
from lathework.answers.size_shown import size_contract
from lathework.answers.values import field_error
from lathework.cutting.blank import SCHOOL_NAMES
from lathework.errors import InputError, InvalidDocument
from lathework.identify.answer import Identified, identify
from lathework.job.document import read_document
from lathework.planning.plan import Plan, make_plans
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.taper import is_inside_taper
from launcher.messages import stop


def _size_text(sized: Size) -> str:
    t = sized.thread
    count = f"{t.tpi:g} threads per inch, " if t.tpi else ""
    lines = [
        f"{t.designation}  {t.form.name}, {count}pitch {t.pitch:.5g} {t.unit}  ({t.source.title})",
        f"  basic           major {t.major:g}, pitch diameter {t.pitch_diameter:g}, minor {t.minor:g} {t.unit}",
    ]
    for blank in sized.blanks:
        lines.append(
            f"  blank           {blank.diameter.value:g} {t.unit}  {SCHOOL_NAMES[blank.school]}. {blank.verdict}"
        )
    for drill in sized.drills:
        lines.append(f"  tapping drill   {drill.drill.name}  {drill.percent:.0f} %  ({drill.convention})")
    if sized.groove is not None:
        across, wide = sized.groove.diameter.value, sized.groove.width.value
        lines.append(f"  relief groove   {across:g} {t.unit}, {wide:.4g} {t.unit} wide")
    over = "" if sized.over_wires is None else " to ".join(_number(f.value, t.unit) for f in sized.over_wires)
    lines.append(f"  best wire       {sized.wire.value:.4f} {t.unit}{', over the wires ' + over if over else ''}")
    lines += _limit_lines(sized)
    return "\n".join([*lines, *(f"  note            {note}" for note in t.notes)])


def _number(value: float, unit: str) -> str:
    return f"{value:.4f}" if unit == "in" else f"{value:.3f}"


def _limit_lines(sized: Size) -> list[str]:
    unit, lines, notes = sized.thread.unit, [], []
    for side in (sized.external, sized.internal):
        if side is None:
            continue
        bands = (side.major if isinstance(side, ExternalLimits) else side.minor, side.pitch_diameter)
        told = [f"{b.name} {_number(b.minimum, unit)} to {_number(b.maximum, unit)}" for b in bands]
        lines.append(f"  class {side.class_name:<9} {', '.join(told)} {unit}")
        notes += [note for note in side.notes if note not in notes]
    if sized.taper is not None:
        gauge, useful = sized.taper.gauge_length.value, sized.taper.useful_length.value
        lines.append(f"  gauge length    {gauge:g} {unit}, useful thread {useful:g} {unit}")
    return lines + [f"  note            {note}" for note in notes]


@dataclass(frozen=True)
class Tapping:
    """The drills one owns, in a file, and the per cent thread wanted; None or empty for the usual."""

    file: str | None
    percent: str

    def asked(self) -> AskedHole:
        """What the rules are asked. Stops with one line when the file cannot be read."""
        return AskedHole(percent=self.percent, drills=_file(self.file) if self.file else "")


def _file(name: str) -> str:
    try:
        return Path(name).read_text(encoding="utf-8")
    except (OSError, UnicodeDecodeError) as error:
        stop(f"cannot read {name}: {error}")


def _hole_text(tapped: Hole) -> str:
    name = f"{tapped.pick.drill.name}: " if tapped.pick else ""
    lines = [f"  hole            {name}{tapped.words}"]
    for choice in tapped.beside:
        lines.append(
            f"  drill           {choice.drill.name}  {choice.percent.value:.0f} %, hole about "
            f"{_number(choice.hole.value, tapped.size.thread.unit)}  {choice.fit.replace('-', ' ')}"
        )
    return "\n".join([*lines, *(f"  caution         {warning}" for warning in tapped.warnings)])


def _pipe_text(pipe: PipeHole) -> str:
    taper, unit = pipe.hole, pipe.thread.unit
    reamed, plain = (drill.name if drill else "bore it" for drill in (taper.reamed, taper.plain))
    return "\n".join(
        [
            f"  hole            {reamed}, then ream 1 in 16 to {_number(taper.mouth.value, unit)} {unit} at the mouth; "
            f"{plain} without a reamer",
            f"  gauge           goes in {taper.gauge.value:g} {unit}, ± {taper.give.value:.3g} {unit}",
            f"  caution         {pipe.warning}",
        ]
    )


def _hole_of(sized: Size, text: str, internal_class: str, asked: AskedHole) -> Hole | PipeHole:
    """The hole of a thread: parallel, or tapering for a pipe."""
    if is_inside_taper(sized.thread):
        return pipe_hole(text, asked.drills, sized.thread.unit)
    return hole(text, internal_class=internal_class, asked=asked)


def _answer(sized: Size, tapped: Hole | PipeHole | None, *, as_json: bool) -> str:
    if as_json:
        told = size_contract(sized)
        if tapped is not None:
            numbers = pipe_hole_numbers(tapped) if isinstance(tapped, PipeHole) else hole_numbers(tapped)
            told["hole"] = asdict(numbers)
        return json.dumps(told, ensure_ascii=False)
    if tapped is None:
        return _size_text(sized)
    told_of = _pipe_text(tapped) if isinstance(tapped, PipeHole) else _hole_text(tapped)
    return f"{_size_text(sized)}\n{told_of}"


def print_sizes(
    designations: list[str],
    *,
    class_name: str,
    internal_class: str,
    engagement: str,
    as_json: bool,
    tapping: Tapping | None = None,
) -> int:
    """Print one answer for each designation, in order; 1 when any could not be read."""
    failed = False
    asked = tapping.asked() if tapping else None
    for text in designations:
        try:
            found = size(text, class_name=class_name, internal_class=internal_class, engagement=engagement)
            tapped = _hole_of(found, text, internal_class, asked) if asked else None
            print(_answer(found, tapped, as_json=as_json))
        except InputError as error:
            failed = True
            if as_json:
                problem = {"code": error.code, "message": error.message, "choices": error.choices}
                print(json.dumps({"designation": text, "error": problem}, ensure_ascii=False))
            else:
                offer = f"  Did you mean: {', '.join(error.choices[:8])}?" if error.choices else ""
                print(f"{text}: {error.message}{offer}")
    return 1 if failed else 0


def _identified_text(identified: Identified) -> str:
    lines = [
        f"{c.probability:7.1%}  {c.thread.designation}" for c in identified.ranking.candidates if c.probability > 0.001
    ]
    lines.append(f"{identified.ranking.none_of_these:7.1%}  none of these")
    lines += [
        f"         special: {name}" for name in identified.ranking.specials if identified.ranking.none_of_these > 0.5
    ]
    question = identified.next.question
    lines.append(f"Next: {identified.next.sentence}")
    if question is not None and question.how != identified.next.sentence:
        lines.append(f"      {question.how}")
    return "\n".join([*lines, *(f"      {told}" for told in (question.meanings if question else ()))])


def print_identified(typed: dict[str, str], *, as_json: bool) -> int:
    """Print what thread the evidence is of; 1 when it cannot be used."""
    try:
        found = identify({field: text for field, text in typed.items() if text})
    except InvalidDocument as error:
        return print_errors(error, as_json=as_json)
    told = json.dumps(asdict(identified_shown(found, drawing=False)), ensure_ascii=False) if as_json else ""
    print(told or _identified_text(found))
    return 0


def print_errors(error: InvalidDocument, *, as_json: bool) -> int:
    """Print what is wrong, each with its field; 1."""
    told = [field_error(e) for e in error.errors]
    text = "\n".join(f"{e.field or 'file'}: {e.message}" for e in told)
    print(json.dumps({"errors": [asdict(e) for e in told]}, ensure_ascii=False) if as_json else text)
    return 1


def _plan_text(plan: Plan) -> str:
    job = plan.job
    name = f", {job.part.name}" if job.part.name else ""
    lines = [f"{job.title}{name}: {job.quantity} of {job.material.name}, {job.part.designations}"]
    lines += [*(f"Caution: {caution.do}" for caution in plan.cautions), ""]
    for number, step in enumerate(plan.operations, 1):
        lines.append(f"{number:2}. {step.title}  [{headline_text(step, job.unit)}]  {step.tool}".rstrip())
        lines += [f"    {step.zero}"] if step.zero else []
        lines.append(f"    {sentence_text(step, job.unit)}")
        lines += [f"    Caution: {caution.do}" for caution in step.cautions]
        lines += [f"    {note}" for note in notes_text(step, job.unit)]
    return "\n".join([*lines, *(f"Note: {notice.text}" for notice in plan.notices)])


def _read_json(file: str) -> Any:
    try:
        return json.loads(sys.stdin.read() if file == "-" else Path(file).read_text(encoding="utf-8"))
    except OSError as error:
        stop(f"cannot read {file}: {error.strerror}")
    except ValueError as error:
        stop(f"{file} is not a JSON file: {error}")


def print_plan(file: str, *, as_json: bool) -> int:
    """Print the plan of a job file, part by part; 1 when the job cannot be read.

    As JSON the first part's plan is the object, those of further parts are its "others".
    """
    try:
        plans = make_plans(read_document(_read_json(file)))
    except InvalidDocument as error:
        return print_errors(error, as_json=as_json)
    if as_json:
        first, *others = (asdict(plan_shown(plan)) for plan in plans)
        print(json.dumps(first | ({"others": others} if others else {}), ensure_ascii=False))
    else:
        print("\n\n".join(_plan_text(plan) for plan in plans))
    return 0
