"""The outline of the work as it stands: bar, less what each act took."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.lathe.cut import Cut
from lathework.value import value

Side = list[tuple[float, float]]
"""One side of the work from its face on: distance behind the face and diameter, in millimetres."""
_HAIR = 1e-6


@value
class Stretch:
    """A stretch of the outline: from `near` to `far` behind the face, diameters at both (millimetres)."""

    near: float
    far: float
    near_mm: float
    far_mm: float

    def at(self, z: float) -> float:
        """The diameter at `z` behind the face, all in millimetres."""
        long = self.far - self.near
        return self.near_mm if long < _HAIR else self.near_mm + (self.far_mm - self.near_mm) * (z - self.near) / long


def stretches(side: Side) -> tuple[Stretch, ...]:
    """The stretches between the points (behind_mm, diameter_mm) of a side; steps square to the axis are none."""
    pairs = zip(side, side[1:], strict=False)
    return tuple(Stretch(z0, z1, d0, d1) for (z0, d0), (z1, d1) in pairs if z1 - z0 > _HAIR)


def _cone(cut: Cut) -> Stretch:
    """What a cut leaves between its ends."""
    if not cut.slope:
        return Stretch(cut.right_mm, cut.left_mm, cut.inner_mm, cut.inner_mm)
    if cut.behind:
        return Stretch(cut.right_mm, cut.left_mm, cut.outer_mm, cut.inner_mm)
    return Stretch(cut.right_mm, cut.left_mm, cut.inner_mm, cut.outer_mm)


def _lower(metal: Stretch, left: Stretch) -> Iterable[Stretch]:
    """The lower of two lines over the stretch of `metal`, in one piece or in two where they cross."""
    before, after = left.at(metal.near) - metal.near_mm, left.at(metal.far) - metal.far_mm
    lines = {True: metal, False: Stretch(metal.near, metal.far, left.at(metal.near), left.at(metal.far))}
    if before * after >= -_HAIR:
        yield lines[before + after >= 0]
        return
    middle = metal.near + (metal.far - metal.near) * before / (before - after)
    for near, far, over in ((metal.near, middle, before >= 0), (middle, metal.far, after >= 0)):
        line = lines[over]
        yield Stretch(near, far, line.at(near), line.at(far))


def _pieces(metal: Stretch, cut: Cut) -> Iterable[Stretch]:
    """A stretch parted at the ends of a cut."""
    if cut.right_mm <= metal.near and metal.far <= cut.left_mm:
        yield metal
        return
    ends = sorted({metal.near, metal.far, *(z for z in (cut.right_mm, cut.left_mm) if metal.near < z < metal.far)})
    for near, far in zip(ends, ends[1:], strict=False):
        yield Stretch(near, far, metal.at(near), metal.at(far))


def after_cut(outline: tuple[Stretch, ...], cut: Cut) -> tuple[Stretch, ...]:
    """The outline when a cut was made: nothing grows, nothing outside the cut changes."""
    left, out = _cone(cut), list[Stretch]()
    for metal in outline:
        if metal.far <= cut.right_mm or metal.near >= cut.left_mm:
            out.append(metal)
            continue
        for piece in _pieces(metal, cut):
            inside = cut.right_mm - _HAIR <= piece.near and piece.far <= cut.left_mm + _HAIR
            out += _lower(piece, left) if inside else (piece,)
    return tuple(out)


def runs(outline: tuple[Stretch, ...]) -> list[Side]:
    """The outline as sides, one for each piece: where a blade went through to the axis the metal ends."""
    out: list[Side] = [[]]
    for metal in outline:
        if max(metal.near_mm, metal.far_mm) < _HAIR:
            out.append([])
            continue
        out[-1] += [(metal.near, metal.near_mm), (metal.far, metal.far_mm)]
    return [side for side in out if side]
