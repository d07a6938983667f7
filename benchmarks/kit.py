"""How long a shop of two thousand things takes to be shown, and to say what serves a thread."""

from __future__ import annotations

import json
import tempfile
from pathlib import Path

from benchmarks.speed import LiveServer, interleaved

THINGS, AT_A_TIME, ROUNDS = 2000, 400, 40
LINES = "1/8-1 BSW dies\n0-10 BA taps\nM3-M36 dies\n1-13 x 0.05 drills\n#1-#80 drills"


def kit(root: Path) -> dict[str, float]:
    """Milliseconds of the shop's page, of all it cuts, of what serves a thread, at 2,000 things; over the constant."""
    with tempfile.TemporaryDirectory(prefix="conch-kit-") as data:
        server = LiveServer(root, Path(data))
        try:
            lines = json.loads(server.post("/api/kit/typed", json.dumps({"text": LINES}).encode()))
            named = [{"kind": one["kind"], "document": one["document"]} for line in lines for one in line["things"]]
            wanted = (named * (THINGS // len(named) + 1))[:THINGS]
            for start in range(0, THINGS, AT_A_TIME):
                server.post("/api/kit", json.dumps({"things": wanted[start : start + AT_A_TIME]}).encode())
            times = interleaved(
                {
                    "null": lambda _: server.get("/api/alive"),
                    "kit": lambda _: server.get("/api/kit"),
                    "threads": lambda _: server.get("/api/kit/threads"),
                    "serves": lambda _: server.get("/api/kit/serves?thread=M10"),
                },
                ROUNDS,
            )
        finally:
            server.stop()
    return {
        "kit_2000_ms": round(times["kit"] * 1000, 1),
        "threads_2000_ms": round(times["threads"] * 1000, 1),
        "serves_2000_ms": round(times["serves"] * 1000, 1),
        "kit_2000_over_null": round(times["kit"] / times["null"], 1),
        "serves_2000_over_null": round(times["serves"] / times["null"], 1),
    }
