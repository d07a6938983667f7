"""Everything as one file, read back whole: the same shop, to the byte of the file that it makes again."""

from __future__ import annotations

import io
import json
import zipfile
from base64 import b64encode
from collections.abc import Iterator
from typing import Any

from django.test import TransactionTestCase
from PIL import Image

from lathework.errors import InputError, InvalidDocument
from lathework.tests.samples import document
from server.devices.models import Device
from server.instruments.models import Correction
from server.jobs.actions.documents import start_job
from server.jobs.models import Entry, Job, StandingRow
from server.kit.actions import add_typed
from server.kit.models import Thing
from server.upkeep.management.commands.begin import load_demo
from server.upkeep.read_whole import read_whole
from server.upkeep.whole import HEAD, whole_shop
from server.week.models import Person
from tests.long import draws


def picture() -> str:
    """A small photograph, as a page sends it."""
    out = io.BytesIO()
    Image.new("RGB", (40, 30), (200, 120, 40)).save(out, "PNG")
    return b64encode(out.getvalue()).decode()


def changed(content: bytes, name: str, how: Any) -> bytes:
    """The same zip with one member put through a function; None leaves it out."""
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(content)) as old, zipfile.ZipFile(out, "w") as new:
        for member in old.namelist():
            told = how(old.read(member)) if member == name else old.read(member)
            if told is not None:
                new.writestr(member, told)
    return out.getvalue()


def exchanged(content: bytes, name: str, told: bytes) -> bytes:
    """The same zip with something else in one member."""
    return changed(content, name, lambda _: told)


NOW = "2026-01-01T00:00:00+00:00"
ODD: tuple[object, ...] = (None, True, 7, -1, 10**401, "x", "2026-01-01", [], [[]], {}, {"a": "b"})


def places(told: Any, at: tuple[Any, ...] = ()) -> Iterator[tuple[Any, ...]]:
    """Where something stands in a document, the outermost first."""
    yield at
    inner = told.items() if isinstance(told, dict) else enumerate(told[:1]) if isinstance(told, list) else ()
    for key, value in inner:
        yield from places(value, (*at, key))


def put(told: Any, at: tuple[Any, ...], value: object) -> bytes:
    """The document with something else in one place."""
    if not at:
        return json.dumps(value).encode()
    new = json.loads(json.dumps(told))
    inner = new
    for key in at[:-1]:
        inner = inner[key]
    inner[at[-1]] = value
    return json.dumps(new).encode()


class Everything(TransactionTestCase):
    def send(self, path: str, **body: object) -> Any:
        answer = self.client.post(path, json.dumps(body), content_type="application/json")
        self.assertEqual(answer.status_code, 200, answer.content)
        return answer.json()

    def empty(self) -> None:
        """A store that has nothing."""
        for model in (Job, Thing, Correction, Person):
            model.objects.all().delete()

    def test_the_demo_comes_back_as_it_was(self) -> None:
        load_demo()
        job = Job.objects.order_by("pk").last()
        assert job is not None
        Job.objects.filter(pk=job.pk - 1).delete()  # a number that is free stays free
        now = self.client.get(f"/api/jobs/{job.pk}/standing").json()
        self.send(f"/api/jobs/{job.pk}/delete", last=now["last"], revision=now["revision"])
        thing, other = Thing.objects.all()[:2]
        self.send(f"/api/kit/{thing.pk}/photograph", content=picture())
        self.send(f"/api/kit/{other.pk}/retire")
        counted = [model.objects.count() for model in (Job, Entry, Thing, StandingRow)]
        rows = list(StandingRow.objects.order_by("pk").values_list("pk", "shelf", "state", "good", "next_step"))
        answer = self.client.get("/api/everything.zip")
        self.assertEqual((answer.status_code, answer["Content-Type"]), (200, "application/zip"))
        before = answer.content
        self.empty()
        # Hours that were said before are those of the file then: nobody is there twice.
        Person.objects.create(name="keeper", usual="Mon 9-10", place=0)
        read = read_whole(before)
        self.assertEqual((read.jobs, read.things, read.unread), (counted[0], counted[2], ()))
        self.assertEqual([model.objects.count() for model in (Job, Entry, Thing, StandingRow)], counted)
        self.assertEqual(
            list(StandingRow.objects.order_by("pk").values_list("pk", "shelf", "state", "good", "next_step")), rows
        )
        self.assertEqual(whole_shop(), before)

    def test_no_secret_goes_along(self) -> None:
        Device.objects.create(ident="d1", name="tablet", role="fitter", secret="5ec2e7", paired_at=NOW, seen_at=NOW)
        with zipfile.ZipFile(io.BytesIO(whole_shop())) as file:
            self.assertFalse([name for name in file.namelist() if b"5ec2e7" in file.read(name)])

    def test_what_is_no_such_file_is_refused_and_changes_nothing(self) -> None:
        load_demo()
        sound = whole_shop()
        with self.assertRaisesRegex(InputError, "not empty"):
            read_whole(sound)
        self.empty()
        first = self.first(sound)
        for content in (
            b"no zip",
            b"",
            sound[:-200],
            changed(sound, HEAD, lambda told: None),
            changed(sound, HEAD, lambda told: b"[" * 5000),
            changed(sound, HEAD, lambda told: b"{}"),
            changed(sound, HEAD, lambda told: json.dumps(json.loads(told) | {"jobs": 7}).encode()),
            changed(sound, HEAD, lambda told: json.dumps(json.loads(told) | {"version": 2}).encode()),
            changed(sound, "kit.json", lambda told: b'{"things": [{"kind": "lamp"}]}'),
            changed(sound, "kit.json", lambda told: b'{"things": [7]}'),
            changed(sound, first, lambda told: told.replace(b'"part"', b'"prat"')),
            changed(sound, first, lambda told: None),
        ):
            with self.subTest(content[:60]), self.assertRaises((InputError, InvalidDocument)):
                read_whole(content)
            self.assertEqual((Job.objects.count(), Thing.objects.count()), (0, 0))

    def test_a_broken_one_is_refused_in_words_wherever_it_is_broken(self) -> None:
        """Each value of the head, of the things and of a job in turn becomes something else: read, or refused."""
        start_job(document())
        add_typed("M8 split die")
        thing = Thing.objects.get()
        self.send(f"/api/kit/{thing.pk}/photograph", content=picture())
        self.send(f"/api/kit/{thing.pk}/retire")
        Correction.objects.create(
            name="caliper", correction_mm=0.01, uncertainty_mm=0.01, reference_mm=25, readings=5, at=NOW
        )
        sound, refused = whole_shop(), 0
        for member in (HEAD, "kit.json", self.first(sound)):
            with zipfile.ZipFile(io.BytesIO(sound)) as file:
                told = json.loads(file.read(member))
            for number, path in enumerate(places(told)):
                for odd in draws((ODD[number % len(ODD)],), ODD):
                    self.empty()
                    broken = exchanged(sound, member, put(told, path, odd))
                    with self.subTest(member, path=path, odd=str(odd)[:20]):
                        refused += self.refuses(broken)
        self.assertGreater(refused, draws(40, 200))

    def refuses(self, broken: bytes) -> int:
        """Whether a file is refused; one that is read makes a shop that can be written."""
        try:
            read_whole(broken)
        except (InputError, InvalidDocument):
            self.assertEqual((Job.objects.count(), Thing.objects.count()), (0, 0))
            return 1
        whole_shop()
        return 0

    def test_a_damaged_member_is_refused_by_its_name(self) -> None:
        """Cut, changed, packed in a way nobody knows, or locked with a password: flags and methods of the zip format
        (APPNOTE 4.4.4 and 4.4.5)."""
        start_job(document())
        sound = whole_shop()
        at = sound.index(b"PK\x01\x02")
        for offset, told in ((8, b"\x01\x00"), (10, b"\x63\x00")):
            broken = bytearray(sound)
            while (at := broken.find(b"PK\x01\x02", at)) >= 0:
                broken[at + offset : at + offset + 2] = told
                at += 4
            at = sound.index(b"PK\x01\x02")
            self.empty()
            with self.subTest(offset), self.assertRaisesRegex(InputError, "unpacked"):
                read_whole(bytes(broken))
        for at in range(30, sound.index(b"PK\x01\x02"), 97):
            broken = bytearray(sound)
            broken[at] ^= 0xFF
            self.empty()
            with self.subTest(changed=at):
                self.refuses(bytes(broken))

    def first(self, content: bytes) -> str:
        """The member of the first job."""
        with zipfile.ZipFile(io.BytesIO(content)) as file:
            return next(name for name in file.namelist() if name.startswith("jobs/"))
