"""Whether a size can be made to the fit that a job asks for."""

from __future__ import annotations

from lathework.cutting.keyway import WIDEST
from lathework.fits.fit import FitCode
from lathework.fits.iso286 import LARGEST_MM
from lathework.job.reading.job_reader import JobReader
from lathework.lengths import Length
from lathework.methods.chase import LEAST_BORE_MM
from lathework.part.fitted import section_limits
from lathework.part.model import Finisher, Mouth, Section, Stock
from lathework.units import show_length

LEAST_OVER_FIT_MM = 0.1
"""What bar is larger than a fit at least, so that a cut takes hold all round (practice)."""
LEAST_REAMED_MM = 1.0
"""Smallest hole that a reamer is made for (practice)."""
MATE_NEAR, MATE_NEAR_MM = 0.02, 0.2
"""How far a measured mate may be off the size that its fit is named for: a share of it, and a little (practice)."""


def check_fit(reader: JobReader, path: str, fit: FitCode, across: Length, mate: Length | None) -> None:
    """A fit is told for sizes that the tables reach, and its mate is of about that size."""
    if not fit:
        return
    if across.mm > LARGEST_MM:
        reader.fail("out-of-range", f"{path}.fit", f"Fits are available up to {LARGEST_MM:g} mm.")
    if mate is not None and abs(mate.mm - across.mm) > MATE_NEAR * across.mm + MATE_NEAR_MM:
        text = (
            f"The mating part measures {mate.typed} and this is {across.typed}: they cannot belong together. "
            "Check both."
        )
        reader.fail("other-size", f"{path}.mate", text)


def check_fit_on_bar(reader: JobReader, path: str, section: Section, stock: Stock) -> None:
    """A fit is turned: the bar leaves a cut for it. As bought, a bar is as large as it came."""
    limits = section_limits(section)
    if limits is None or stock.across.mm >= limits.aim_mm + LEAST_OVER_FIT_MM:
        return
    least = show_length(limits.aim_mm + LEAST_OVER_FIT_MM, "mm", stock.across.unit)
    text = (
        f"Bar of {stock.across.typed} leaves nothing to turn for this fit. Use bar of at least {least} "
        f"{stock.across.unit}, or leave the fit out."
    )
    reader.fail("does-not-fit", f"{path}.fit", text)


def check_key(reader: JobReader, path: str, key: Length | None, across: Length) -> None:
    """A key is at most half as wide as what it sits in."""
    if key is not None and key.mm > WIDEST * across.mm:
        text = f"A {key.typed} key in {across.typed} leaves nothing to drive: at most half of it."
        reader.fail("does-not-fit", f"{path}.key", text)


def check_bored_fit(
    reader: JobReader, path: str, end: Mouth, fit: FitCode, across: Length, mate: Length | None, by: Finisher
) -> None:
    """A hole to a fit is bored along the axis, large enough for a boring tool; or reamed to the reamer's own size."""
    if not fit:
        return
    check_fit(reader, path, fit, across, mate)
    if end == "across":
        reader.fail(
            "does-not-fit", f"{path}.fit", "A cross hole is drilled or reamed; it cannot be bored to a fit here."
        )
    elif by == "reamer" and across.mm < LEAST_REAMED_MM:
        reader.fail(
            "does-not-fit", f"{path}.by", f"The smallest reamer is {LEAST_REAMED_MM:g} mm: no fit can be made smaller."
        )
    elif by == "reamer":
        if mate is not None:
            text = "A reamer makes its own size. Leave this empty, and make the mating part to suit the hole."
            reader.fail("does-not-fit", f"{path}.mate", text)
    elif across.mm < LEAST_BORE_MM:
        text = f"A boring tool does not fit under {LEAST_BORE_MM:g} mm: finish with a reamer."
        reader.fail("does-not-fit", f"{path}.fit", text)
