"""Instruments over the API: what comes in, what is refused, what a bench is told, what a reference piece tells."""

from __future__ import annotations

import json
import time
from collections.abc import Iterator
from typing import Any
from unittest import mock

from django.test import TestCase

from lathework.tests.samples import SCREW, document
from server.instruments.hub import HUB, MOST_INSTRUMENTS, Hub
from server.jobs.actions.documents import start_job

URL = "/api/instruments"


class Case(TestCase):
    def setUp(self) -> None:
        fresh = Hub()
        for name, value in vars(fresh).items():
            setattr(HUB, name, value)

    def post(self, path: str, **body: Any) -> Any:
        return self.client.post(f"{URL}{path}", json.dumps(body), content_type="application/json")

    def sample(self, **more: Any) -> Any:
        body = {"name": "mill readout", "source": "readout", "unit": "mm", "x": 20.0, "z": -5.0}
        return self.post("/samples", **body | more)

    def end(self, stream: Iterator[bytes]) -> None:
        """The server ends, and every stream with it."""
        HUB.close()
        self.assertLess(len(list(stream)), 8)

    def told(self, response: Any) -> dict[str, str]:
        self.assertEqual(response.status_code, 422, response.content)
        return {error["field"].rpartition(".")[2]: error["code"] for error in response.json()["errors"]}


class Samples(Case):
    def test_what_is_shown_is_told(self) -> None:
        self.assertEqual(self.sample().json(), {"name": "mill readout", "doubt": ""})
        [one] = self.client.get(URL).json()
        self.assertEqual(one["axes"]["x"]["mm"]["text"], "20.000")
        self.assertFalse(one["stand_in"])

    def test_a_jump_is_taken_in_and_doubted(self) -> None:
        now_s = time.time()
        self.sample(at=now_s - 0.05)
        self.assertIn("jumped", self.sample(x=200.0, at=now_s).json()["doubt"])

    def test_what_cannot_be_is_refused(self) -> None:
        for more, field in (
            ({"x": None}, "x"),
            ({"z": 1e9}, "z"),
            ({"source": "ruler"}, "source"),
            ({"unit": "ft"}, "unit"),
        ):
            with self.subTest(field):
                self.assertIn(field, self.told(self.sample(**more)))
        self.assertEqual(self.sample(name="").status_code, 422)
        self.assertEqual(self.client.get(URL).json(), [])

    def test_a_hundred_a_second_are_taken_and_the_last_is_shown(self) -> None:
        for number in range(100):
            self.sample(x=20.0 + number / 1000)
        [one] = self.client.get(URL).json()
        self.assertEqual(one["axes"]["x"]["mm"]["text"], "20.099")

    def test_no_more_instruments_than_a_shop_has(self) -> None:
        for number in range(MOST_INSTRUMENTS):
            self.sample(name=f"readout {number}")
        self.assertEqual(self.sample(name="one more").status_code, 409)


class Reference(Case):
    def send(self, *sizes: float) -> None:
        for size in sizes:
            body = {"name": "caliper", "source": "caliper", "unit": "mm", "length": size, "sent": True}
            self.assertEqual(self.post("/samples", **body).status_code, 200)

    def test_an_offset_is_found_kept_and_taken_off(self) -> None:
        """24.98, 25.00, 24.99 of a block of 25: 0.01 short on the mean."""
        self.send(24.98, 25.0, 24.99, 12.0)
        told = self.post("/reference", name="caliper", reference="25", within="0.003").json()
        self.assertEqual((told["readings"], told["correction"]["shown"]["mm"]["text"]), (3, "0.010"))
        job = start_job(document(SCREW))
        events = self.client.get(f"/api/jobs/{job.pk}/live")
        stream: Iterator[bytes] = iter(events)
        next(stream)
        self.send(11.11)
        sent = next(one for one in stream if one.startswith(b"event: sent"))
        self.assertEqual(json.loads(sent.split(b"data: ")[1])["typed"], "11.120 mm")
        self.end(stream)

    def test_what_comes_while_others_are_told_is_told_once(self) -> None:
        """Whenever a reading falls between the look for what is new and the telling, it stands in the stream once."""
        job, late = start_job(document(SCREW)), iter((11.0, 12.0, 13.0))
        wait = HUB.wait

        def interrupted(after: int, seconds: float) -> int:
            newest = wait(after, 0.01)
            for size in late:
                self.send(size)
                break
            return newest

        stream: Iterator[bytes] = iter(self.client.get(f"/api/jobs/{job.pk}/live"))
        with mock.patch.object(HUB, "wait", interrupted):
            events: list[bytes] = []
            while sum(event.startswith(b"event: sent") for event in events) < 3:
                events.append(next(stream))
            events += [next(stream) for _ in range(2)]
        told = [json.loads(event.split(b"data: ")[1])["typed"] for event in events if event.startswith(b"event: sent")]
        self.assertEqual(told, ["11.000 mm", "12.000 mm", "13.000 mm"])
        self.end(stream)

    def test_too_few_and_nothing_typed(self) -> None:
        self.send(25.0)
        self.assertEqual(self.told(self.post("/reference", name="caliper", reference="25")), {"readings": "too-few"})
        self.assertEqual(self.told(self.post("/reference", name="caliper", reference="")), {"reference": "empty"})


class StandIns(Case):
    def do(self, what: str, **more: Any) -> Any:
        return self.post("/stand-in", do=what, **more)

    def test_moved_preset_and_looked_at_from_the_bench(self) -> None:
        """The shank of 7/16 (11.1125 mm): preset to 12 there are 0.8875 to go, and one is warned."""
        job = start_job(document(SCREW))
        body = {"last": 0, "revision": 1, "step": "face:right", "kind": "done"}
        done = self.client.post(f"/api/jobs/{job.pk}/entries", json.dumps(body), content_type="application/json")
        self.assertEqual(done.status_code, 200, done.content)
        self.do("on")
        self.do("preset", axis="x", value="12")
        self.do("preset", axis="z", value="-10")
        events = self.client.get(f"/api/jobs/{job.pk}/live")
        self.assertEqual(events["Content-Type"], "text/event-stream")
        stream: Iterator[bytes] = iter(events)
        lived = [one for one in (next(stream) for _ in range(12)) if one.startswith(b"event: live")]
        last = json.loads(lived[-1].split(b"data: ")[1])
        across, along = last["axes"]
        self.assertAlmostEqual(float(across["to_go"]["mm"]["text"]), 12 - 11.1125, delta=0.03)
        self.assertEqual(across["warned"], "near")
        self.assertAlmostEqual(float(along["to_go"]["mm"]["text"]), 1.75 * 25.4 - 10, delta=0.03)
        self.end(stream)

    def test_off_again_nothing_is_shown(self) -> None:
        self.assertEqual(len(self.do("on").json()), 1)
        self.assertEqual(self.do("off").json(), [])

    def test_bad_moves_are_told_beside_their_field(self) -> None:
        for more, field in (
            ({"do": "jog", "axis": "x", "value": "far"}, "value"),
            ({"do": "jog", "axis": "x", "value": "900"}, "value"),
            ({"do": "jog", "axis": "", "value": "1"}, "axis"),
            ({"do": "fault", "fault": "tired"}, "fault"),
        ):
            with self.subTest(field):
                self.assertIn(field, self.told(self.post("/stand-in", **more)))
