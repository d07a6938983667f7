"""What the page goes on by itself while its server is away, against what the server then answers, over random acts."""

from __future__ import annotations

import json
import os
import random
import subprocess
import tempfile
from dataclasses import asdict
from pathlib import Path
from typing import Any

from django.conf import settings

from lathework.bench.next_act import OIL, READ, WHY, ZERO
from lathework.tests.samples import SCREW, TIE_ROD, body, bore, document
from lathework.tests.test_parts import other, together
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import ApiCase

WEB = Path(settings.ROOT) / "web"
ACTS = 40


class WithoutItsServer(ApiCase):
    def stands(self) -> dict[str, Any]:
        """The bench, and the plan of the part in hand."""
        now = self.get(self.url("/bench"))
        return {"before": now, "plan": self.get(self.url(f"?part={now['part']}"))["plan"]}

    def said(self, now: dict[str, Any], rng: random.Random) -> dict[str, Any] | None:
        """Something that a person may record now; None where nothing is left to do."""
        if now["unread"]:
            return {"kind": "read"}
        if not now["step"]:
            return None
        if now["zero"]:
            return {"kind": "zero"}
        if rng.random() < 0.06:
            return {"kind": "scrap", "reason": "slipped"}
        if now["step"]["measure"] == "verdict" and not (now["verdict"] or {}).get("passes"):
            return {"kind": "verdict", "verdict": "snug"}
        return {"kind": "done"}

    def test_it_is_as_the_server_then_answers(self) -> None:
        """Plain, of two holdings, tapped, of several parts, in batches by holding."""
        started = (
            document(SCREW | {"quantity": 3}),
            document({**TIE_ROD, "hazards": ["lifting"], "quantity": 2}),
            document(body(bore("1/4-20", depth="3/4"), bore(across="1/8", end="left"), **{"quantity": 2})),
            together(other({"quantity": 1})),
            document({**TIE_ROD, "quantity": 3, "method.batch": "holding"}),
            # So small a tap is asked for its oil.
            document(body(bore("6-32"), **{"material": "stainless", "quantity": 2})),
        )
        histories = []
        for seed, one in enumerate(started):
            rng = random.Random(seed)
            self.job = start_job(one)
            for _ in range(ACTS):
                told = self.stands()
                act = self.said(told["before"], rng)
                if act is None:
                    break
                answer = self.record(act["kind"], **{key: value for key, value in act.items() if key != "kind"})
                if answer.status_code != 200:
                    self.record("accept", reason="it will do")
                    continue
                step = told["before"]["step"]["key"] if told["before"]["step"] else ""
                said = {"step": step, "last": 0, "revision": 0, **act}
                histories.append({**told, "said": said, "after": self.get(self.url("/bench"))})
        self.assertGreater(len(histories), 100)
        before = {one["does"] for told in histories for one in told["before"]["before"]}
        self.assertEqual(before, {"oil"})
        self.run_page(histories)

    def run_page(self, histories: list[dict[str, Any]]) -> None:
        with tempfile.TemporaryDirectory(prefix="conch-histories-") as folder:
            file = Path(folder) / "histories.json"
            labels = {act.does: asdict(act) for act in (WHY, OIL, ZERO, READ)}
            file.write_text(json.dumps({"labels": labels, "histories": histories}), encoding="utf-8")
            ended = subprocess.run(
                ["npx", "--no-install", "vitest", "run", "tests/projected.test.ts"],
                cwd=WEB,
                env={**os.environ, "CONCH_HISTORIES": str(file), "NO_COLOR": "1"},
                capture_output=True,
                text=True,
                timeout=120,
                check=False,
            )
        self.assertEqual(ended.returncode, 0, ended.stdout[-6000:] + ended.stderr[-3000:])
        # Each was looked at: a run that finds no tests ends well too.
        self.assertRegex(ended.stdout, rf"Tests\s+{len(histories) + 1} passed")
