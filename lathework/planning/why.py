"""Why a step is done, and why its figure is what it is: a line each for somebody who has not done it before."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.planning.operation import Operation

WHY: Mapping[str, str] = {
    "saw": "A little is left for facing: a sawn end is neither square nor smooth.",
    "saw-off": "What was in the jaws is not part of the piece any more.",
    "hold": "Work that sticks out only a little is stiff: it turns true and does not chatter.",
    "face": "Every length is measured from this face, so it must be flat, and the readout zero on it.",
    "centre": "Long work bends away from the tool; the centre holds up its free end.",
    "carry": "Long work bends away from the tool; the centre holds up its free end.",
    "steady": "Thin work springs away from the tool in its middle; the steady goes along behind it.",
    "push-in": "A short stick-out bears the die's torque without bending.",
    "draw-out": "The next part of the work has to stand out of the jaws.",
    "turn": "Roughing cuts alike, then a light one and a spring pass: the last cut makes the size.",
    "neck": "A section smaller than the one in front of it cannot be turned from the end.",
    "groove": "A die leaves its first turns unfinished. The groove gives them somewhere to end, so the nut reaches "
    "the shoulder.",
    "start-groove": "The tool starts each pass in a groove: it cannot come in from the end.",
    "chamfer": "The die catches on a cone that starts below the root of the thread; without it the die starts crooked.",
    "edge": "A sharp edge cuts hands and does not fit into corners.",
    "knurl": "Wheels press the pattern in: the blank grows, so it is turned under size.",
    "rough": "A coarse thread is cut out first so that the die only sizes it, with a part of the torque.",
    "thread": "The marked side has the longer lead. The turns say when the thread is long enough, without looking.",
    "finish": "Turned round, the die cuts full turns nearly up to the shoulder.",
    "taper": "The blank tapers as the thread does, so the die cuts along its whole length.",
    "gauge": "A thread is right when its mate says so; a caliper across the crests does not see the flanks.",
    "part-begin": "A slot half way leaves metal to hold while the edge behind it is chamfered.",
    "part-off": "The blade's width comes off too: the piece is as long as the slot's near side says.",
    "keyway": "Half of the key sits in each part: deeper weakens it, shallower lets the key roll.",
    "socket": "The tool on centre and the slide at half the angle of the cone: so it is as straight as a shank is.",
    "recess": "The threading tool must come to rest somewhere before the bottom.",
    "deburr": "A burr cuts hands, scratches what goes in, and holds a part off its seat.",
    "undercut": "What goes in has a sharp corner; the hole's own is never sharp.",
    "hub-keyway": "A tool that stands still cuts straight along the bore: the carriage is the slide of a planer.",
    "flats": "Each flat takes half of what must come off; the block turns the work by equal steps.",
    "spot": "A drill wanders on a flat face; it starts true in a dimple.",
    "pilot": "A drill's middle does not cut, it pushes; a small hole takes that away.",
    "drill": "The hole leaves the share of thread that holds without breaking the tap.",
    "bore": "A boring tool cuts the hole true and to any size, where no drill is near.",
    "ream": "A reamer makes the hole round and to size; a drill does not.",
    "countersink": "The tap starts in a cone, and the first turn does not stand up as a burr.",
    "tap": "Back off often: chips that jam in the flutes are what breaks a tap.",
    "chase": "A cutting tool follows the pitch on its own: many light cuts, no crooked start.",
    "index": "Each start has its own groove, an equal share of a turn from the next.",
    "index-inside": "Each start has its own groove, an equal share of a turn from the next.",
    "gear": "The leadscrew makes the pitch: a leaf laid on the first scratch tells whether the gears are right.",
    "screwcut": "Equal areas: each pass goes in less than the one before, so the tool is loaded alike.",
    "rough-bore": "Part of the thread is cut first, so that the tap takes less and does not break.",
    "try": "A mate shows how much is still to come off.",
    "join": "Force, heat or compound holds it: it goes together once.",
    "join-mate": "Force, heat or compound holds it: it goes together once.",
    "fit": "Compound holds only what is clean and dry.",
    "cross-mark": "Across a round bar a drill slides off; it is marked, and started in a dimple.",
    "cross-drill": "The block keeps the work from turning under the drill.",
    "cross-ream": "A reamer makes the hole round and to size; a drill does not.",
    "cross-countersink": "A burr in the mouth of a hole scratches whatever goes through it.",
    "cross-try": "A mate shows whether the thread is full, and square enough for it.",
    "cross-tap": "Back off often: chips that jam in the flutes are what breaks a tap.",
}
"""By the kind of work that the key of a step names (practice)."""


BLANK = "The die raises the crests a little as it cuts, so the blank is turned a shade under the thread's own size."


BY_HEAD = "The head opens where its travel ends: nothing is run back, so it may run far faster than a die."
BY_TOOL: Mapping[str, str] = {
    "groove": "The tool has somewhere to come to rest while a hand opens the nuts, and the nut reaches the shoulder.",
    "chamfer": "The nut finds its start on a cone that begins below the root of the thread.",
    "turn": "The crests stay as the blank is turned: a shade under the thread's own size, and the nut clears them.",
}
"""The same where a threading tool cuts the thread (practice)."""


def why(operation: Operation) -> str:
    """Why a step is done."""
    kind = operation.key.partition(":")[0]
    if operation.cut_by.on_leadscrew and kind in BY_TOOL:
        return BY_TOOL[kind]
    if operation.cut_by.opens and kind == "thread":
        return BY_HEAD
    return BLANK if kind == "turn" and operation.thread is not None else WHY[kind]
