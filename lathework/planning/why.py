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
    "draw-out": "The next part of the work must stick out of the jaws.",
    "turn": "Equal roughing cuts, then two light ones alike. Two cuts alike spring alike, so the last one leaves what "
    "its dial says.",
    "neck": "A section smaller than the one in front of it cannot be turned from the end.",
    "groove": "A die leaves its first turns unfinished. The groove gives them somewhere to end, so the nut reaches "
    "the shoulder.",
    "start-groove": "The tool starts each pass in a groove: it cannot come in from the end.",
    "chamfer": "The die catches on a cone that starts below the root of the thread; without it the die starts crooked.",
    "edge": "A sharp edge cuts hands and does not fit into corners.",
    "knurl": "The wheels press the pattern in and the blank grows, so it is turned undersize.",
    "rough": "A coarse thread is cut out first so that the die only sizes it, with a fraction of the torque.",
    "thread": "The marked side has the longer chamfer. Counting turns tells you when the thread is long enough, "
    "without looking.",
    "finish": "Flipped, the die cuts full turns nearly up to the shoulder.",
    "taper": "The blank tapers as the thread does, so the die cuts along its whole length.",
    "gauge": "A thread is right when its mating part fits; a caliper over the crests does not measure the flanks.",
    "part-begin": "A slot cut half way leaves metal to hold the piece while its back edge is chamfered.",
    "part-off": "The blade removes its own width too: the piece ends at the near side of the slot.",
    "keyway": "Half of the key sits in each part: deeper weakens it, shallower lets the key roll.",
    "socket": "With the tool on centre and the slide at half the taper angle, the taper comes out straight.",
    "recess": "The threading tool needs somewhere to stop before the bottom.",
    "deburr": "A burr cuts hands, scratches the mating part, and keeps it off its seat.",
    "undercut": "The part that goes in has a sharp corner; the hole never has one.",
    "hub-keyway": "A tool held still cuts straight along the bore: the carriage works like a planer.",
    "flats": "Each flat removes half of what must come off; the block turns the work in equal steps.",
    "spot": "A drill wanders on a flat face; it starts true in a dimple.",
    "pilot": "The middle of a drill does not cut, it pushes; a small hole first makes that easy.",
    "drill": "This hole leaves enough thread to be strong, and not so much that the tap breaks.",
    "bore": "A boring tool cuts the hole true and to any size, where no drill is near.",
    "ream": "A reamer makes the hole round and to size; a drill does not.",
    "countersink": "The tap starts in a cone, and the first turn does not rise as a burr.",
    "tap": "Back off often: chips that jam in the flutes are what breaks a tap.",
    "chase": "A tool on the leadscrew follows the pitch exactly: many light cuts, no crooked start.",
    "index": "Each start has its own groove, an equal share of a turn from the next.",
    "index-inside": "Each start has its own groove, an equal share of a turn from the next.",
    "gear": "The leadscrew makes the pitch: a pitch gauge on the first scratch shows whether the gears are right.",
    "screwcut": "Each pass goes in less than the one before, so the load on the tool stays the same.",
    "rough-bore": "Part of the thread is cut first, so that the tap takes less and does not break.",
    "try": "Trying the mating part shows how much is still to come off.",
    "join": "Force, heat or compound holds it: it can be assembled only once.",
    "join-mate": "Force, heat or compound holds it: it can be assembled only once.",
    "fit": "Compound holds only what is clean and dry.",
    "cross-mark": "Across a round bar a drill slides off; it is marked, and started in a dimple.",
    "cross-drill": "The block keeps the work from rolling under the drill.",
    "cross-ream": "A reamer makes the hole round and to size; a drill does not.",
    "cross-countersink": "A burr in the mouth of a hole scratches whatever goes through it.",
    "cross-try": "Trying the mating part shows whether the thread is full and square.",
    "cross-tap": "Back off often: chips that jam in the flutes are what breaks a tap.",
}
"""By the kind of work that the key of a step names (practice)."""


BLANK = "The die raises the crests a little as it cuts, so the blank is turned slightly under the nominal size."


BY_HEAD = "The head opens at the end of its travel and is not run back, so it can run much faster than a die."
BY_TOOL: Mapping[str, str] = {
    "groove": "The tool has somewhere to stop while you open the half nuts, and the nut reaches the shoulder.",
    "chamfer": "The nut finds its start on a cone that begins below the root of the thread.",
    "turn": "The crests stay at the diameter of the blank: slightly under the nominal size, so that the nut clears "
    "them.",
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
