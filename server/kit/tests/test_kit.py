"""Things put in the shop, changed, retired and put back; what is refused."""

from __future__ import annotations

from lathework.tests.samples import document
from server.kit.models import Thing
from server.kit.tests.case import KitCase


class Kit(KitCase):
    def test_typed_kept_and_listed_by_drawer(self) -> None:
        self.assertEqual(self.add("M3-M6 dies carbon; 2 BA taps; 8.5 drill, stand").status_code, 200)
        shown = self.get("/api/kit")["things"]
        self.assertEqual(
            [one["drawer"] for one in shown], ["Metric coarse dies"] * 4 + ["British Association taps", "stand"]
        )
        self.assertEqual((shown[-1]["name"], shown[-1]["place"]), ("8.5 mm drill", "stand"))
        self.assertEqual(len({one["id"] for one in shown}), 6)

    def test_what_is_owned_already_is_told(self) -> None:
        self.add("M6 die")
        (line,) = self.typed("M5-M6 dies")
        self.assertEqual(
            [(one["name"], one["known"]) for one in line["things"]], [("M5 split die", False), ("M6 split die", True)]
        )

    def test_a_line_nobody_understands_is_told_beside_the_others(self) -> None:
        good, bad = self.typed("M6 tap\nhammer")
        self.assertIsNone(good["error"])
        self.assertEqual((bad["things"], bad["error"]["code"]), ([], "unreadable"))
        self.assertEqual(Thing.objects.count(), 0)

    def test_all_or_none(self) -> None:
        wanted = [
            {"kind": "tap", "document": {"thread": "M6"}},
            {"kind": "die", "document": {"thread": "M8", "across": "25 mm", "thick": "30 mm"}},
        ]
        answer = self.send("POST", "/api/kit", {"things": wanted})
        self.assertEqual(answer.status_code, 422)
        self.assertEqual([error["field"] for error in answer.json()["errors"]], ["things.1.thick"])
        self.assertEqual(Thing.objects.count(), 0)

    def test_sent_twice_it_is_put_in_once(self) -> None:
        things = {"things": [{"kind": "tap", "document": {"thread": "M6"}}]}
        for _ in range(2):
            answer = self.client.post(
                "/api/kit", things, content_type="application/json", headers={"Idempotency-Key": "of-this-act"}
            )
            self.assertEqual(answer.status_code, 200)
        self.assertEqual(Thing.objects.count(), 1)
        self.send("POST", "/api/kit", things)
        self.assertEqual(Thing.objects.count(), 2)

    def test_what_a_lathe_made(self) -> None:
        self.add("bench lathe 2MT; workshop lathe 3MT")
        bench, other = (one["id"] for one in self.get("/api/kit")["things"])
        job = self.send("POST", "/api/jobs", document({"setup.machine": bench})).json()
        told = self.get(f"/api/log/lathes?lathe={bench}")
        self.assertEqual([(one["id"], one["good"]) for one in told], [(job["id"], 0)])
        self.assertEqual(self.get(f"/api/log/lathes?lathe={other}"), [])

    def test_things_of_two_shops_lie_in_drawers_of_their_own(self) -> None:
        tap = {"kind": "tap", "document": {"thread": "M6", "shop": "club", "place": "box 2"}}
        self.send("POST", "/api/kit", {"things": [tap]})
        (shown,) = self.get("/api/kit")["things"]
        self.assertEqual((shown["shop"], shown["drawer"]), ("club", "club: box 2"))

    def test_changed_with_its_revision(self) -> None:
        self.add("1/2 bsw split die")
        thing = self.one("1/2 BSW split die")
        said = {"document": {"thread": "1/2 BSW", "state": "worn", "across": "1 in"}, "revision": 1}
        changed = self.send("PUT", f"/api/kit/{thing['id']}", said)
        self.assertEqual((changed.json()["state"], changed.json()["revision"]), ("worn", 2))
        self.assertEqual(self.send("PUT", f"/api/kit/{thing['id']}", said).status_code, 409)
        missing = self.send("PUT", "/api/kit/nobody", said)
        self.assertEqual((missing.status_code, "item nobody" in missing.json()["detail"]), (404, True))
        worse = {"document": {"thread": "1/2 whitworth nut"}, "revision": 2}
        self.assertEqual(self.send("PUT", f"/api/kit/{thing['id']}", worse).status_code, 422)

    def test_retired_and_put_back(self) -> None:
        self.add("M6 tap")
        ident = self.one("M6 taps, a set")["id"]
        self.assertEqual(self.send("POST", f"/api/kit/{ident}/retire").status_code, 200)
        self.assertEqual(self.get("/api/kit")["things"], [])
        self.assertEqual(self.send("POST", f"/api/kit/{ident}/restore").status_code, 200)
        self.assertEqual(len(self.get("/api/kit")["things"]), 1)

    def test_what_serves_a_thread(self) -> None:
        self.add("M6 die; M6 tap; 5 drill; M6x0.75 die")
        told = self.get("/api/kit/serves?thread=M6")
        self.assertEqual([one["name"] for one in told["dies"]], ["M6 split die"])
        self.assertEqual((told["drill"], told["missing"]), ("5 mm", []))
        self.assertEqual(told["unlike"], ["M6x0.75 does not fit: a pitch of 0.75 mm, not 1 mm."])
        self.assertEqual(self.client.get("/api/kit/serves?thread=hammer").status_code, 422)

    def test_a_hole_is_drilled_with_what_is_there(self) -> None:
        """ISO 2306: M10 wants 8.5; it is missing, and 8.4 is the nearest there."""
        hole = "/api/threads/hole?q=M10&metal=mild-steel&bolt=mild-steel"
        self.assertEqual(self.get(hole)["pick"]["name"], "8.5 mm")
        self.add("8 drill; 8.4 drill; 9 drill; 8.5 drill missing")
        self.assertEqual(self.get(hole)["pick"]["name"], "8.4 mm")
        self.assertEqual(self.get(f"{hole}&drills=metric")["pick"]["name"], "8.5 mm")
