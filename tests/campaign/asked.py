"""What the odd requests ask: places with their parameters, bodies that are right before they are bent, texts."""

from __future__ import annotations

from typing import Any

HALF = "\ud83d"
TEXTS = (
    *("3/8-16", "M8x1", "1/4 bsw", "G3/8", "2ba", "R1/2", "M10", "1-1/4-12", "13 tpi", "1.5 mm", "8 tpi"),
    *("0.5", "12,5", "1-1/2", "1/2", "12 mm", "0.375 in", "20,40,60,63,80,100", "mm", "in", "mild-steel", "brass"),
    *(
        "",
        " ",
        "0",
        "-1",
        "1e9",
        "1/0",
        "9" * 60,
        "NaN",
        "x" * 200,
        "🐚",
        HALF,
        "\x00",
        '"',
        "*",
        "NOT",
        "a:b",
        "%",
        "../..",
        "=1+1",
    ),
    *("studs", "M2x0.0001", "M0.001", "1000-1000", "1/2-999", "true", "false", "1", "2", "99", "note", "reading"),
)
HOLDERS = (
    *(
        "die-holder",
        "floating",
        "die-stock",
        "guide-bush",
        "bush-set",
        "sleeve",
        "taper-bar",
        "tap-holder",
        "backplate",
    ),
    *("bracket", "%00", "🐚"),
)
_CARD = ("q", "class", "internal_class", "engagement", "wire", "drill", "plating")
_HOLDER = (
    "unit",
    "metal",
    "thread",
    "seat",
    "die",
    "thick",
    "other",
    "longest",
    "bar",
    "taper",
    "shank",
    "own",
    "threads",
)
QUESTIONS: tuple[tuple[str, tuple[str, ...]], ...] = (
    ("/api/jobs", ("shelf", "start")),
    ("/api/jobs/{job}", ("part", "narrow")),
    *((f"/api/jobs/{{job}}/{tail}", ("part", "end")) for tail in ("bench", "standing", "needs", "ways", "batch")),
    *((f"/api/jobs/{{job}}/{tail}", ("part", "end")) for tail in ("job.json", "readings.csv", "part.svg", "part.dxf")),
    ("/api/jobs/{job}/sheet.pdf", ()),
    ("/api/log", ("q", "kind", "before")),
    ("/api/log/dies", ("thread", "die")),
    ("/api/log/dies/line", ("die",)),
    ("/api/log/jobs/{job}", ()),
    ("/api/log/lathes", ("lathe",)),
    ("/api/log/lessons", ()),
    ("/api/size", ("q",)),
    ("/api/sample", ("reading", "unit", "of")),
    *((f"/api/threads/card{kind}", _CARD) for kind in ("", ".csv", ".dxf", ".json", ".svg")),
    ("/api/threads/hole", ("q", "internal_class", "percent", "drills", "bolt", "metal", "depth", "through", "piloted")),
    ("/api/threads/pipe-hole", ("q", "drills", "unit")),
    ("/api/threads/mating", ("bolt", "nut")),
    ("/api/threads/rows", ("series",)),
    ("/api/gears", ("pitch", "leadscrew", "gears", "dial_teeth", "dial_lines", "length", "unit")),
    *((f"/api/holders/{{holder}}/{file}", _HOLDER) for file in ("drawing.svg", "drawing.dxf", "sheet.pdf")),
    *((f"/api/kit{tail}", ("thread", "place")) for tail in ("", "/kit.json", "/labels.pdf", "/serves", "/threads")),
    ("/api/kit/csv/{holder}", ()),
    ("/api/kit/{thing}/photograph", ()),
    ("/api/place", ("path",)),
    ("/api/me", ()),
    ("/api/devices", ()),
    ("/{thing}", ("q",)),
)
SAMPLE = {"name": "caliper", "source": "caliper", "unit": "mm", "length": 12.7, "sent": True, "at": None}
HOLDER = {
    **{"unit": "in", "metal": "mild-steel", "thread": "1/2-13", "die": "1", "thick": "3/8", "longest": "1-1/2"},
    **{"bar": "3/4", "seat": "5/8", "deep": "1/4", "shank": "1", "taper": "2 MT", "threads": "1/4-20, 3/8-16"},
}
THING = {"kind": "die", "document": {"thread": "M8", "across": "25 mm", "thick": "9 mm"}}
BODIES: tuple[tuple[str, str, Any], ...] = (
    ("POST", "/api/identify", {"evidence": {"outside": "0.375", "tpi": "16", "unit": "in"}}),
    ("POST", "/api/holders/{holder}", HOLDER),
    ("POST", "/api/kit", {"things": [THING]}),
    ("POST", "/api/kit/typed", {"text": "M3-M12 dies carbon\n1/2 BSW die 1 x 3/8 worn, British box"}),
    ("POST", "/api/kit/read", {"text": "kind,thread,across,thick\ndie,M14,38 mm,14 mm\n"}),
    ("PUT", "/api/kit/{thing}", {"document": THING["document"], "revision": 1}),
    *(("POST", f"/api/kit/{{thing}}/{act}", {"revision": 1}) for act in ("retire", "restore", "photograph")),
    ("POST", "/api/instruments/samples", SAMPLE),
    ("POST", "/api/instruments/stand-in", {"do": "jog", "axis": "x", "value": "-0.5", "unit": "mm", "fault": ""}),
    ("POST", "/api/instruments/reference", {"name": "caliper", "reference": "25.4", "within": "0.001", "unit": "mm"}),
    ("POST", "/api/jobs/stud-repair", {"unit": "in", "across": "0.5", "thread": "5/16-18", "clamped": "0.4"}),
    ("POST", "/api/jobs/new", {"typed": {"as": "stud", "title": "Stud", "thread": "3/8-16", "length": "1"}}),
    ("POST", "/api/jobs/new/sketch", {"typed": {"as": "stud", "title": "Stud", "thread": "3/8-16", "length": "1"}}),
    ("PUT", "/api/threads/favourites", {"designation": "3/8-16"}),
    ("POST", "/api/pairing", {"code": "123 456", "name": "tablet"}),
    ("POST", "/api/devices/code", {"role": "fitter"}),
    ("PUT", "/api/devices/{thing}", {"name": "tablet", "role": "onlooker"}),
    ("POST", "/api/devices/{thing}/let-go", {}),
)
