"""Who may do what: the host, a fitter, an onlooker, one who is not known; and that nothing else lets them in."""

from __future__ import annotations

import io
import time
from contextlib import redirect_stderr
from typing import Any
from unittest.mock import patch

from django.test import Client, override_settings

from lathework.errors import InputError
from lathework.tests.samples import document
from server.devices.codes import CODES
from server.devices.known import COOKIE
from server.devices.models import Device
from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase
from server.site.streams import HOST, KEPT_FOR_HOST, MOST_OF_ONE, Places

SHOP = "shop.example"
NETWORK = override_settings(
    NETWORK_HOSTS=[SHOP], ALLOWED_HOSTS=["testserver", SHOP], NETWORK_ADDRESS=f"http://{SHOP}:8420/"
)


@NETWORK
class Devices(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.addCleanup(CODES.forget)

    def tablet(self, role: str = "fitter", name: str = "bench tablet") -> Client:
        """A device that was paired."""
        digits = self.code(role)
        client = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.7")
        told = self.pair(client, digits, name)
        self.assertEqual(told.status_code, 200, told.content)
        self.assertEqual(told.json(), {"role": role, "name": name, "network": True})
        return client

    def code(self, role: str = "fitter") -> str:
        return str(self.host("POST", "/api/devices/code", {"role": role})["code"]["digits"])

    def pair(self, client: Client, code: str, name: str) -> Any:
        return client.post("/api/pairing", {"code": code, "name": name}, content_type="application/json")

    def host(self, method: str, path: str, body: object = None) -> Any:
        answer = self.send(method, path, body)
        self.assertEqual(answer.status_code, 200, answer.content)
        return answer.json()

    def note(self, client: Client) -> Any:
        """A note on the job, recorded on a device."""
        now = self.get(self.url("/bench"))
        body = {**self.saw(), "step": now["step"]["key"], "kind": "note", "reason": "new bar from here"}
        return client.post(self.url("/entries"), body, content_type="application/json")

    def test_the_cookie_is_for_this_site_and_no_script(self) -> None:
        client = self.tablet()
        cookie = client.cookies[COOKIE]
        self.assertEqual((cookie["httponly"], cookie["samesite"]), (True, "Strict"))
        self.assertEqual(cookie["secure"], "")
        stored = Device.objects.get()
        self.assertNotIn(cookie.value, (stored.secret, stored.ident, stored.name))
        over_tls = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.7")
        body = {"code": self.code(), "name": "bed tablet"}
        told = over_tls.post("/api/pairing", body, content_type="application/json", secure=True)
        self.assertTrue(told.cookies[COOKIE]["secure"])
        page = over_tls.get("/", secure=True)
        self.assertTrue(page.cookies["csrftoken"]["secure"])

    def test_an_entry_says_what_it_was_recorded_on(self) -> None:
        self.assertEqual(self.note(self.tablet()).status_code, 200)
        self.assertEqual(self.record("note", reason="from the host").status_code, 200)
        self.assertEqual(list(Entry.objects.values_list("device", flat=True)), ["bench tablet", ""])
        told = self.get(self.url("/job.json"))["record"]["entries"]
        self.assertEqual([entry.get("device", "") for entry in told], ["bench tablet", ""])
        self.assertEqual([entry["device"] for entry in self.get("/api/log")["entries"]], ["", "bench tablet"])
        self.assertIn("bench tablet", self.client.get(self.url("/readings.csv")).content.decode())
        copy = self.send("POST", "/api/jobs/import", self.get(self.url("/job.json"))).json()
        self.assertEqual(Entry.objects.filter(job_id=copy["id"]).first().device, "bench tablet")  # type: ignore[union-attr]

    def test_who_is_asked_again_is_told_where_an_entry_was_taken_back(self) -> None:
        self.record("note", reason="from the host")
        saw = self.saw()
        undone = self.tablet().post(self.url("/undo"), saw, content_type="application/json")
        self.assertEqual(undone.status_code, 200)
        told = self.get(self.url(f"/meanwhile?last={saw['last']}&revision={saw['revision']}"))
        self.assertEqual((told["taken_back"], told["taken_back_on"]), (True, "bench tablet"))

    def test_an_onlooker_looks_and_changes_nothing(self) -> None:
        client = self.tablet("onlooker")
        for path in (self.url(), self.url("/bench"), "/api/jobs", "/api/log", "/api/kit"):
            self.assertEqual(client.get(path).status_code, 200, path)
        told = client.post("/api/jobs/plan", document(), content_type="application/json")
        self.assertEqual(told.status_code, 200)
        for told in (
            self.note(client),
            client.post(self.url("/hold"), {**self.saw(), "reason": "x"}, content_type="application/json"),
            client.post("/api/kit", {"things": []}, content_type="application/json"),
            client.delete("/api/threads/favourites?q=M8", content_type="application/json"),
        ):
            self.assertEqual((told.status_code, told.json()["code"]), (403, "onlooker"))
        self.assertEqual(Entry.objects.count(), 0)

    def test_who_is_not_known_gets_the_page_and_no_data(self) -> None:
        client = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.7")
        self.assertEqual(client.get("/").status_code, 200)
        self.assertEqual(client.get("/api/me").json()["role"], "")
        for path in ("/api/jobs", self.url("/bench"), self.url("/live"), self.url("/sheet.pdf"), "/api/kit"):
            told = client.get(path)
            self.assertEqual((told.status_code, told.json()["code"]), (401, "unpaired"), path)
        self.assertEqual(self.note(client).status_code, 401)

    def test_a_device_that_was_let_go_is_out_at_once(self) -> None:
        client = self.tablet()
        [device] = self.host("GET", "/api/devices")["devices"]
        self.assertEqual(self.host("POST", f"/api/devices/{device['ident']}/let-go")["devices"], [])
        self.assertEqual((client.get("/api/jobs").status_code, self.note(client).status_code), (401, 401))
        self.assertEqual(self.send("POST", f"/api/devices/{device['ident']}/let-go").status_code, 404)
        # Its name is free for another.
        self.assertEqual(self.tablet().get("/api/jobs").status_code, 200)

    def test_devices_are_looked_after_on_the_host_alone(self) -> None:
        client = self.tablet()
        [device] = self.host("GET", "/api/devices")["devices"]
        changed = {"name": "bed tablet", "role": "onlooker"}
        for told in (
            client.get("/api/devices"),
            client.post("/api/devices/code", {}, content_type="application/json"),
            client.put(f"/api/devices/{device['ident']}", changed, content_type="application/json"),
            client.post(f"/api/devices/{device['ident']}/let-go", content_type="application/json"),
        ):
            self.assertEqual((told.status_code, told.json()["code"]), (403, "host-only"))
        [told] = self.host("PUT", f"/api/devices/{device['ident']}", changed)["devices"]
        self.assertEqual((told["name"], told["role"]), ("bed tablet", "onlooker"))
        self.assertEqual(self.note(client).status_code, 403)

    def test_wrong_names_leave_the_code_as_it_is(self) -> None:
        self.tablet(name="bench tablet")
        digits = self.code()
        client = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.8")
        for name, code in (
            ("", "empty"),
            (" bench  tablet ", "taken"),
            ("x" * 41, "too-long"),
            ("a\x00b", "unreadable"),
        ):
            told = self.pair(client, digits, name)
            self.assertEqual((told.status_code, told.json()["code"]), (422, code))
            self.assertEqual(told.json()["errors"][0]["field"], "name")
        self.assertEqual(self.pair(client, digits, "bed tablet").status_code, 200)

    def test_guesses_are_refused_in_a_line_told_once(self) -> None:
        client = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.9")
        said = io.StringIO()
        with redirect_stderr(said), patch("server.site.refusals._told", set()):
            CODES.make("fitter", time.monotonic())
            for _ in range(9):
                told = self.pair(client, "not it", "bench tablet")
                self.assertEqual(told.status_code, 422)
                self.assertEqual(told.json()["errors"][0]["field"], "code")
        self.assertEqual(len(said.getvalue().splitlines()), 2, said.getvalue())
        self.assertEqual(Device.objects.count(), 0)

    def test_a_terminal_that_is_gone_takes_no_answer_with_it(self) -> None:
        """What is refused is told on the terminal; where that was closed, or its disk is full, it is refused alike."""
        gone = io.StringIO()
        gone.close()
        full = io.TextIOWrapper(io.FileIO("/dev/full", "w"), write_through=True)
        client = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.9")
        for terminal in (gone, full, None):
            with self.subTest(terminal), patch("server.site.refusals._told", set()), patch("sys.stderr", terminal):
                CODES.make("fitter", time.monotonic())
                self.assertEqual(self.pair(client, "not it", "bench tablet").status_code, 422)
                self.assertEqual(Client(headers={"host": "evil.example"}).get("/api/jobs").status_code, 400)

    def test_a_stranger_spends_his_own_tries_alone(self) -> None:
        """Whoever guesses from one address, 288 times for each of ten codes, keeps nobody else from pairing."""
        stranger = Client(headers={"host": SHOP}, REMOTE_ADDR="192.0.2.66")
        for number in range(10):
            digits = self.code()
            wrong = f"{(int(digits) + 1) % 10**6:06d}"
            with redirect_stderr(io.StringIO()):
                told = [self.pair(stranger, wrong, "a guess") for _ in range(29 if number else 288)]
            self.assertEqual({one.status_code for one in told}, {422})
            with redirect_stderr(io.StringIO()):
                self.assertEqual(self.pair(stranger, digits, "a guess").json()["code"], "too-often")
            fitter = Client(headers={"host": SHOP}, REMOTE_ADDR=f"192.0.2.{number + 70}")
            self.assertEqual(self.pair(fitter, digits, f"tablet {number}").status_code, 200)

    def test_a_code_that_everybody_guesses_at_goes(self) -> None:
        """A hundred addresses, five tries each: the most that are taken, and found in one of 2,000 times."""
        digits = self.code()
        wrong = f"{(int(digits) + 1) % 10**6:06d}"
        for number in range(100):
            for _ in range(5):
                with self.assertRaises(InputError):
                    CODES.take(wrong, f"192.0.2.{number}", time.monotonic())
        with self.assertRaises(InputError) as refused:
            CODES.take(digits, "192.0.2.200", time.monotonic())
        self.assertEqual(refused.exception.code, "no-code")

    def test_an_onlooker_has_no_large_thing_worked_out(self) -> None:
        large = document({"title": "x" * 70_000})
        for role, name, status in (("onlooker", "kitchen tablet", 403), ("fitter", "bed tablet", 422)):
            told = self.tablet(role, name).post("/api/jobs/plan", large, content_type="application/json")
            self.assertEqual(told.status_code, status, told.content[:200])
        small = self.tablet("onlooker", "hall tablet").post(
            "/api/jobs/plan", document(), content_type="application/json"
        )
        self.assertEqual(small.status_code, 200)

    def test_a_device_takes_so_many_streams_and_leaves_the_host_its_own(self) -> None:
        places = Places(20)
        self.assertEqual([places.take("a") for _ in range(MOST_OF_ONE + 1)], [True] * MOST_OF_ONE + [False])
        taken = sum(places.take(f"device {number}") for number in range(40))
        self.assertEqual(taken, 20 - KEPT_FOR_HOST - MOST_OF_ONE)
        self.assertEqual([places.take(HOST) for _ in range(KEPT_FOR_HOST + 1)], [True] * KEPT_FOR_HOST + [False])
        places.leave("a")
        self.assertTrue(places.take("b"))

    def test_only_this_machine_by_its_own_name_is_the_host(self) -> None:
        """A request from another machine is none, whatever it calls this one; nor one by the network's name."""
        for host, address in (
            ("testserver", "192.0.2.7"),
            (SHOP, "127.0.0.1"),
            (f"{SHOP}:8420", "127.0.0.1"),
            ("testserver", ""),
        ):
            with self.subTest(host=host, address=address):
                client = Client(headers={"host": host, "x-forwarded-for": "127.0.0.1"}, REMOTE_ADDR=address)
                self.assertEqual(client.get("/api/jobs").status_code, 401)
        self.assertEqual(Client(REMOTE_ADDR="::1").get("/api/jobs").status_code, 200)

    def test_where_a_page_is_found(self) -> None:
        told = self.get(f"/api/place?path=/jobs/{self.job.pk}/bench")
        self.assertEqual(told["address"], f"http://{SHOP}:8420/jobs/{self.job.pk}/bench")
        for path in ("//evil.example", "https://evil.example/", "/a?b"):
            self.assertEqual(self.client.get("/api/place", {"path": path}).status_code, 422)
        with override_settings(NETWORK_ADDRESS=""):
            self.assertEqual(self.get("/api/place?path=/log"), {"address": "", "picture": None})
            self.assertIsNone(self.host("POST", "/api/devices/code", {})["code"])
