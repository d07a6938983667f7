"""What a thread may be, as plain dictionaries."""

from __future__ import annotations

from lathework.identify.answer import Identified
from lathework.identify.priors import series_weights
from lathework.identify.question import Question
from lathework.identify.rank import Candidate
from lathework.present.threads import mating_json
from lathework.present.values import Json, length_shown
from lathework.threads.series import SERIES_NAMES


def _candidate(candidate: Candidate) -> Json:
    thread = candidate.thread
    return {
        "designation": thread.designation,
        "also": list(candidate.also),
        "probability": round(candidate.probability, 4),
        "family": thread.family,
        "series": SERIES_NAMES.get(thread.series, thread.series),
        "angle_deg": thread.form.angle_deg,
        "tpi": thread.tpi,
        "major": length_shown(thread.major_mm),
        "pitch": length_shown(thread.pitch_mm),
        "notes": list(thread.notes),
        "reasons": [
            {
                "evidence": reason.evidence,
                "measured": reason.measured,
                "expected": {"in": reason.expected[0], "mm": reason.expected[1]},
                "times": float(f"{reason.times:.3g}"),
            }
            for reason in candidate.reasons
        ],
    }


def _question(question: Question | None) -> Json | None:
    if question is None:
        return None
    return {
        "ask": question.ask,
        "instrument": question.instrument,
        "how": question.how,
        "meanings": list(question.meanings),
        "gain_bits": round(question.gain_bits, 3),
        "mate": question.mate,
        "count": question.count,
    }


def identified_json(found: Identified, *, drawing: bool = True) -> Json:
    """The ranking, best first; what to do next; the lookalike, with its drawing unless left out."""
    evidence = found.evidence
    weights = series_weights(evidence.origin, evidence.trade, evidence.shares)
    lookalike = mating_json(found.lookalike) if found.lookalike and drawing else None
    return {
        "candidates": [_candidate(candidate) for candidate in found.ranking.candidates],
        "none_of_these": round(found.ranking.none_of_these, 4),
        "specials": list(found.ranking.specials),
        "settled": found.ranking.settled,
        "next": {"sentence": found.next.sentence, "question": _question(found.next.question)},
        "priors": [
            {"series": series, "name": SERIES_NAMES[series], "share": round(share, 4)}
            for series, share in sorted(weights.items(), key=lambda w: -w[1])
        ],
        "mistake": found.mistake,
        "remarks": list(found.remarks),
        "lookalike": lookalike,
    }
