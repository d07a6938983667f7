"""The shop as files and pictures: out, in, refused with a reason; what a job takes of it."""

from __future__ import annotations

import io
import itertools
import time
from base64 import b64encode
from concurrent.futures import ThreadPoolExecutor
from threading import current_thread, main_thread
from typing import Any
from unittest.mock import patch

from django.db import connection
from django.test import Client
from django.utils import timezone
from PIL import Image
from pypdf import PdfReader

from lathework.tests.samples import document
from server.jobs.models import Entry, GaugingRow, Job, TrialRow
from server.jobs.tests.case import Answer
from server.kit.models import Photograph, Thing
from server.kit.owned import owned
from server.kit.picture_bounds import SIDE
from server.kit.pictures import kept_small, small
from server.kit.tests.case import KitCase


def picture(size: tuple[int, int], kind: str = "PNG") -> bytes:
    out = io.BytesIO()
    Image.new("RGB", size, "tan").save(out, kind)
    return out.getvalue()


class Files(KitCase):
    def read(self, text: str) -> Answer:
        return self.send("POST", "/api/kit/read", {"text": text})

    def taken(self, path: str) -> bytes:
        answer = Client().get(path)
        self.assertEqual(answer.status_code, 200)
        return bytes(answer.content)

    def test_a_shop_moves_to_another_store_with_its_ids(self) -> None:
        self.add("1/2 BSW die 1 x 3/8 worn, British box; bench lathe 2MT speeds 60 110; 8.5 drill missing")
        file = self.taken("/api/kit/kit.json").decode()
        before = {row.ident: thing for row, thing in owned()}
        Thing.objects.all().delete()
        things = [row["thing"] for row in self.read(file).json()]
        wanted = [{"kind": item["kind"], "document": item["document"]} for item in things]
        self.assertEqual(self.send("POST", "/api/kit", {"things": wanted}).status_code, 200)
        self.assertEqual({row.ident: thing for row, thing in owned()}, before)

    def test_a_table_with_two_bad_lines_stores_nothing_by_itself(self) -> None:
        told = self.read("kind,thread,across,thick\ndie,M8,25 mm,9 mm\ndie,M8,9 mm,25 mm\ntap,nonsense,,\n").json()
        self.assertEqual([row["line"] for row in told], [2, 3, 4])
        self.assertEqual([row["thing"] is not None for row in told], [True, False, False])
        self.assertEqual([error["field"] for row in told[1:] for error in row["errors"]][0], "thick")
        self.assertEqual(Thing.objects.count(), 0)

    def test_a_table_of_each_kind(self) -> None:
        self.add("M8 die 25 x 9; M8 taps")
        self.assertIn("25 mm,9 mm", self.taken("/api/kit/csv/die").decode())
        self.assertEqual(self.taken("/api/kit/csv/lathe").decode().count("\n"), 1)
        self.assertEqual(Client().get("/api/kit/csv/hammer").status_code, 422)

    def test_labels_carry_names_and_places(self) -> None:
        self.add("#1-#30 drills, stand; M8 die, metric box")
        pages = PdfReader(io.BytesIO(self.taken("/api/kit/labels.pdf"))).pages
        self.assertEqual(len(pages), 2)
        words = "".join(page.extract_text() for page in pages)
        self.assertIn("M8\nsplit die\nmetric box", words)
        self.assertEqual(len(PdfReader(io.BytesIO(self.taken("/api/kit/labels.pdf?place=metric box"))).pages), 1)

    def test_what_is_no_kit_file(self) -> None:
        answer = self.read("hammer")
        self.assertEqual((answer.status_code, answer.json()["errors"][0]["field"]), (422, "file"))

    def test_an_id_that_is_taken_gets_another(self) -> None:
        self.add("M8 die")
        own = self.one("M8 split die")["id"]
        self.send("POST", "/api/kit", {"things": [{"kind": "die", "document": {"id": own, "thread": "M6"}}]})
        self.assertEqual(Thing.objects.count(), 2)


class Photographs(KitCase):
    def setUp(self) -> None:
        super().setUp()
        self.add("M8 die")
        self.path = f"/api/kit/{self.one('M8 split die')['id']}/photograph"

    def keep(self, content: bytes) -> Answer:
        return self.send("POST", self.path, {"content": b64encode(content).decode()})

    def test_it_is_made_small_and_kept_anew(self) -> None:
        self.assertEqual(self.keep(picture((2000, 1000))).json()["photograph"], 1)
        kept = Image.open(io.BytesIO(Client().get(self.path).content))
        self.assertEqual((kept.format, kept.size), ("JPEG", (SIDE, SIDE // 2)))
        self.assertEqual(self.keep(picture((10, 10), "WEBP")).json()["photograph"], 2)
        self.assertEqual(self.one("M8 split die")["photograph"], 2)

    def test_a_camera_says_nothing_of_where_it_stood(self) -> None:
        out, exif = io.BytesIO(), Image.Exif()
        exif[0x010F], exif[0x0112] = "a camera", 6
        Image.new("RGB", (40, 20)).save(out, "JPEG", exif=exif)
        self.keep(out.getvalue())
        kept = Image.open(io.BytesIO(bytes(Photograph.objects.get().content)))
        self.assertEqual((dict(kept.getexif()), kept.size), ({}, (20, 40)))

    def test_nor_does_what_is_written_in_it_come_along(self) -> None:
        out = io.BytesIO()
        Image.new("RGB", (40, 20), "tan").save(out, "JPEG", comment=b"the keeper's house", xmp=b"the keeper's house")
        self.assertIn(b"keeper", out.getvalue())
        self.keep(out.getvalue())
        self.assertNotIn(b"keeper", Client().get(self.path).content)
        self.assertNotIn(b"keeper", kept_small(out.getvalue(), "a die"))
        plain = picture((40, 20), "JPEG")
        self.assertEqual(kept_small(plain, "a die"), plain)

    def test_pictures_are_read_before_the_store_is_held_and_one_at_a_time(self) -> None:
        """A reading taken at the lathe waits for whoever writes."""
        depth, inside, most = len(connection.atomic_blocks), [0], [0]
        thumbnail = Image.Image.thumbnail

        def watched(image: Image.Image, size: tuple[float, float]) -> None:
            inside[0] += 1
            most[0] = max(most[0], inside[0])
            self.assertEqual(len(connection.atomic_blocks), depth if current_thread() is main_thread() else 0)
            time.sleep(0.05)
            thumbnail(image, size)
            inside[0] -= 1

        with patch.object(Image.Image, "thumbnail", watched):
            self.assertEqual(self.keep(picture((90, 90))).status_code, 200)
            with ThreadPoolExecutor(4) as pool:
                list(pool.map(small, [picture((90, 90))] * 8))
        self.assertEqual((inside, most), ([0], [1]))

    def test_what_is_no_picture_is_refused(self) -> None:
        for content in (b"", b"hammer", picture((4, 4))[:30], b"\x89PNG\r\n\x1a\n" + b"0" * 100):
            with self.subTest(content[:8]):
                answer = self.keep(content)
                self.assertEqual((answer.status_code, answer.json()["errors"][0]["field"]), (422, "photograph"))
        self.assertEqual(self.send("POST", self.path, {"content": "not base64!"}).status_code, 422)
        self.assertEqual(Client().get(self.path).status_code, 404)
        self.assertEqual(Photograph.objects.count(), 0)

    def test_one_too_large_is_refused(self) -> None:
        answer = self.keep(b"0" * (5 * 1024 * 1024 + 1))
        self.assertEqual((answer.status_code, answer.json()["errors"][0]["code"]), (422, "too-long"))

    def test_thrown_away_and_taken_anew_it_has_another_address(self) -> None:
        """A browser keeps each revision for a year."""
        self.keep(picture((10, 10)))
        self.assertEqual(self.send("DELETE", self.path).json()["photograph"], 0)
        self.assertEqual(Client().get(self.path).status_code, 404)
        self.assertEqual(self.keep(picture((12, 12))).json()["photograph"], 2)


class Jobs(KitCase):
    def start(self, **changes: Any) -> Any:
        answer = self.send("POST", "/api/jobs", document({key.replace("__", "."): v for key, v in changes.items()}))
        self.assertEqual(answer.status_code, 201, answer.content)
        return answer.json()

    def test_a_new_job_takes_lathe_die_and_blades_and_keeps_them(self) -> None:
        self.add("bench lathe screwed radius speeds 60 110 200; 3/8-16 die; 3/32 blade; 1/16 blade")
        job = self.start()
        setup = job["document"]["setup"]
        self.assertEqual((setup["dial"], setup["mount"], setup["groove_blade"]), ("radius", "screwed", "3/32 in"))
        self.assertEqual(job["document"]["part"]["sections"][0]["die"], self.one("3/8-16 UNC split die")["id"])
        lathe = self.one("Bench lathe")
        self.send("POST", f"/api/kit/{lathe['id']}/retire")
        self.assertEqual(self.get(f"/api/jobs/{job['id']}")["document"], job["document"])

    def test_a_die_is_followed_from_job_to_job(self) -> None:
        """What it did in the first job is told in the second, of this die alone though two are of its thread."""
        self.add("3/8-16 die; 3/8-16 die")
        first = self.start()
        die = first["document"]["part"]["sections"][0]["die"]
        job = Job.objects.get(pk=first["id"])
        at = timezone.now()
        entry = Entry.objects.create(job=job, kind="verdict", part="p1", piece=1, step="gauge:s1", word="snug", at=at)
        told = {"part": "p1", "piece": 1, "thread": "3/8-16 UNC", "metal": "mild steel", "die": die}
        GaugingRow.objects.create(job=job, entry=entry, step="gauge:s1", verdict="snug", eighths=-1, **told)
        taught = {name: told[name] for name in ("thread", "metal", "die")}
        TrialRow.objects.create(job=job, entry=entry, verdict="snug", eighths=-1, **taught)
        second = self.start()
        self.assertEqual(second["document"]["part"]["sections"][0]["die"], die)
        need = next(one for one in self.get(f"/api/jobs/{second['id']}/needs") if one["id"] == die)
        self.assertIn("die closed 1/8 turn in total", need["did"])
        self.assertEqual(
            [one["said"] for one in self.get(f"/api/log/dies?die={die}")], ["snug, turns by hand, no play"]
        )
        self.job = Job.objects.get(pk=second["id"])
        self.walk_to("thread:s1")
        preset = self.get(f"/api/jobs/{second['id']}/bench")["preset"]
        self.assertEqual((preset["trials"], preset["left"]), (1, -1.0))
        # The page of the die says of the next setting what the bench says of it.
        shown = self.get(f"/api/log/dies/line?die={die}")
        as_at_bench = [shown["next"], shown["at"], shown["chance"]["value"]]
        self.assertEqual(as_at_bench, [preset["words"], preset["eighths"], preset["chance"]["value"]])
        self.assertEqual(shown["unknown"], "")
        now = self.record("setting", stands=str(preset["left"])).json()
        self.assertEqual((now["adjusted"], now["opened_words"]), (True, "closed 1/8 turn"))
        self.assertEqual(self.told(self.record("setting", stands="9"), 422), {"stands": "out-of-range"})
        self.assertEqual([(one["eighths"], one["passes"]) for one in shown["points"]], [(-1.0, True)])
        slopes = [b["off_mm"] - a["off_mm"] for a, b in itertools.pairwise(shown["line"])]
        self.assertTrue(shown["half_mm"] > 0 and min(slopes) > 0, shown)
        # Where its last place has only a name no setting is told, but what to do.
        for where, asked in (({"placed": False}, "from where its screw touches"), ({"on": "the union"}, "the union")):
            TrialRow.objects.filter(die=die).update(**({"placed": True, "on": ""} | where))
            shown = self.get(f"/api/log/dies/line?die={die}")
            self.assertEqual((shown["next"], shown["at"], shown["chance"]), ("", None, None))
            self.assertIn(asked, shown["unknown"])
        other = next(one["id"] for one in self.get("/api/kit")["things"] if one["id"] != die)
        self.assertEqual(self.get(f"/api/log/dies?die={other}"), [])
        self.assertIsNone(self.get(f"/api/log/dies/line?die={other}"))

    def test_what_is_missing_is_told_and_then_found(self) -> None:
        self.add("M8 die")
        job = self.start()
        missing = self.get(f"/api/jobs/{job['id']}/needs")[0]
        self.assertEqual((missing["what"], missing["id"]), ("die for 3/8-16 UNC", ""))
        kind = missing["owns"].pop("kind")
        self.send("POST", "/api/kit", {"things": [{"kind": kind, "document": missing["owns"]}]})
        self.assertEqual(self.get(f"/api/jobs/{job['id']}/needs")[0]["thing"], "3/8-16 UNC split die")

    def test_a_thing_nobody_can_read_hides_no_other(self) -> None:
        self.add("M8 die; M6 die")
        Thing.objects.filter(pk=self.one("M6 split die")["id"]).update(document={"thread": "nonsense"}, revision=2)
        with self.assertLogs("server.kit.owned", "WARNING"):
            self.assertEqual(len(self.get("/api/kit")["things"]), 1)
