"""Sizes that nobody typed yet, so that a part can be drawn while its form is filled: shares of its thread."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import replace

from lathework.errors import InputError
from lathework.fits.called import read_fit
from lathework.fits.fit import Makes
from lathework.job.typed import Typed, head_is_bar
from lathework.lengths import read_length
from lathework.part.stock import read_bar
from lathework.threads.designation import read_called

THREAD = "M10"
"""Drawn until the thread can be read."""
BAR = {"screw": 1.9, "sample": 1.9, "nut": 1.7, "body": 2.2, "bolt": 1.0, "all-thread": 1.0}
"""Bar over the thread's diameter, by start; 1.25 for the others (practice, as are all shares here)."""
BUSH_BAR, BUSH_OUTSIDE, BUSH_HOLE, BUSH_LONG = 16.0, 14.0, 8.0, 20.0
"""Of a bush, which has no thread to go by, in millimetres."""
OVER_CORNERS = 1.18
"""Round bar over the flats that are milled on it."""
SHANK, SHANK_LONG, FLATS = 1.3, 2.2, 1.7
THREADED, THREADED_MOST = 2.0, 0.45
HEAD = 1.0
LONG = {"rod": 9.0, "all-thread": 6.0, "nut": 0.9, "body": 4.0}
"""Whole length over the thread's diameter; 5 for the others."""
KNOB = 2.2
"""Over the knurl of a thumb screw."""
CUT_OFF = 1.25
"""Length of a bolt now over that wanted."""


def _without_fit(makes: Makes) -> Callable[[str], str]:
    """What takes the fit off a size; one that cannot be read stays as it is."""

    def bare(text: str) -> str:
        try:
            return read_fit(text, makes, "across")[0]
        except InputError:
            return text

    return bare


_BARE: Mapping[str, Callable[[str], str]] = {
    "stock": lambda text: read_bar(text)[0],
    "shank": _without_fit("shaft"),
    "hole": _without_fit("hole"),
}
"""What may stand behind a size, taken off, by the field of the form."""


class _Sizes:
    """The sizes of a form in millimetres, as far as they can be read."""

    def __init__(self, typed: Typed) -> None:
        self.typed = typed
        self.across = read_called(_thread(typed)).thread.major_mm

    def given(self, name: str) -> float | None:
        """What was typed; None where that is nothing, or no length."""
        text = _BARE.get(name, str.strip)(str(getattr(self.typed, name)))
        try:
            return read_length(text, self.typed.unit, name).mm if text else None
        except InputError:
            return None

    def bar(self) -> float:
        """The bar, at least as wide as what is made of it."""
        start, flats, shank = self.typed.start, self.given("flats"), self.given("shank")
        if start == "plug":
            return OVER_CORNERS * (flats or FLATS * self.across)
        if start == "knob":
            return self.given("head") or KNOB * self.across
        return max(BAR.get(start, 1.25) * self.across, 1.4 * shank if shank else 0.0)

    def threaded(self) -> float:
        """The thread, or the depth of a tapped hole."""
        overall = self.given("overall")
        usual = THREADED * self.across
        return min(usual, THREADED_MOST * overall / (2 if self.typed.start == "rod" else 1)) if overall else usual

    def shank_length(self) -> float:
        """The shank of a screw."""
        overall, usual = self.given("overall"), SHANK_LONG * self.across
        threaded = self.given("threaded") or self.threaded()
        return min(usual, max(0.3 * (overall - threaded), 0.2 * self.across)) if overall else usual

    def overall(self) -> float:
        """The whole length, so that everything typed has room."""
        start = self.typed.start
        threaded = self.given("threaded") or self.threaded()
        if start in ("screw", "sample"):
            return threaded + (self.given("shank_length") or self.shank_length()) + HEAD * self.across
        if start in ("plug", "knob"):
            return threaded + HEAD * self.across
        if start == "nut":
            return LONG[start] * self.across + (self.given("threaded") or 0.0)
        return max(LONG.get(start, 5.0) * self.across, threaded * (3 if start == "rod" else 1.8))


def _thread(typed: Typed) -> str:
    """The thread as typed; the likeliest where it may be several, the assumed one where it can not be read."""
    try:
        read_called(typed.thread)
    except InputError as error:
        return error.choices[0] if error.code == "ambiguous" and error.choices else THREAD
    return typed.thread


def _bush(typed: Typed, sizes: _Sizes) -> Typed:
    """A bush with every size put in: a wall of its own, whatever was typed."""
    outside = sizes.given("shank") or sizes.given("stock") or max(BUSH_OUTSIDE, 1.6 * (sizes.given("hole") or 0.0))

    def length(name: str, usual: float) -> str:
        return str(getattr(typed, name)) if sizes.given(name) is not None else f"{usual:.4f} mm"

    return replace(
        typed,
        title=typed.title or "bush",
        quantity="1",
        stock=length("stock", BUSH_BAR / BUSH_OUTSIDE * outside),
        shank=length("shank", outside),
        hole=length("hole", BUSH_HOLE / BUSH_OUTSIDE * outside),
        overall=length("overall", BUSH_LONG / BUSH_OUTSIDE * outside),
        readings={},
    )


def assumed(typed: Typed) -> Typed:
    """The form with every size that is missing, or cannot be read, put in: for a drawing, never for a job."""
    sizes = _Sizes(typed)
    if typed.start == "bush":
        return _bush(typed, sizes)

    def length(name: str, usual: float) -> str:
        return str(getattr(typed, name)) if sizes.given(name) is not None else f"{usual:.4f} mm"

    tapped = typed.start in ("nut", "body")
    overall = sizes.given("overall") or sizes.overall()
    return replace(
        typed,
        title=typed.title or "part",
        thread=_thread(typed),
        quantity="1",
        stock=length("stock", sizes.bar()),
        threaded="" if tapped and sizes.given("threaded") is None else length("threaded", sizes.threaded()),
        shank=length("shank", SHANK * sizes.across),
        shank_length=length("shank_length", sizes.shank_length()),
        flats="" if head_is_bar(typed) else length("flats", FLATS * sizes.across),
        head=length("head", KNOB * sizes.across),
        knurl=typed.knurl if sizes.given("knurl") is not None else "",
        overall=length("overall", sizes.overall()),
        present=length("present", CUT_OFF * overall) if typed.start == "bolt" else "",
        readings={},
    )
