"""A store of many jobs and entries, made from the demo: what the shop has after years.

Run as a program it fills the store of CONCH_DATA and prints the ids of its jobs as JSON.
"""

from __future__ import annotations

import json
import random
from datetime import timedelta

import django
import orjson
from django.conf import settings
from django.core.management import call_command
from django.db import transaction
from django.utils import timezone

from lathework.bench.entry import Entry, story_of
from lathework.job.document import read_document
from lathework.planning.plan import make_plans

JOBS, ENTRIES, SEED = 500, 100_000, 11
LONG, SHORT = 5000, 10
"""Entries of the job with the longest history, and of the one it is compared with."""
STUDS = "Levelling studs, lamp carriage"
_OVER_MM = (2.0, 1.0, 0.0)
"""How much over the aim a diameter is measured, cut by cut."""
_WORDS = (
    "chips packed in the die",
    "new bar from here",
    "oil changed",
    "spring pass twice",
    "nut borrowed",
    "dull tool",
)


def _entries(document: dict[str, object], count: int, rng: random.Random) -> list[Entry]:
    """So many entries of a job, as they would be recorded piece after piece."""
    [plan, *_] = make_plans(read_document(document))
    told = {step.key: story_of(plan, step.key, "", 1, "diameter") for step in plan.operations}
    part, piece = plan.job.part.id, 1
    out: list[Entry] = []
    keys = [step.key for step in plan.operations]
    while len(out) <= count:
        for step in plan.operations:
            story = told[step.key]
            if step.target is not None:
                sizes = [step.target.aim_mm + over for over in _OVER_MM]
                out += [Entry("reading", piece, step.key, size, "diameter", part=part, story=story) for size in sizes]
            if step.measure == "verdict":
                word = rng.choice(("snug", "binds", "slight-shake"))
                out.append(Entry("verdict", piece, step.key, word=word, part=part, story=story))
            if rng.random() < 0.1:
                out.append(Entry("note", piece, step.key, text=rng.choice(_WORDS), part=part, story=story))
            out.append(Entry("done", piece, step.key, part=part, ended=step.key == keys[-1], story=story))
        piece += 1
    # The last entry is followed by a reading, where the part has any: that is what is recorded next.
    turned = [at for at, entry in enumerate(out[: count + 1]) if entry.kind == "reading"]
    return out[: turned[-1] if turned else count]


def _job(document: dict[str, object], title: str, count: int, rng: random.Random) -> int:
    """A job with so many entries; its id."""
    from server.jobs import kept, models
    from server.jobs.actions.documents import head, stored_form
    from server.jobs.stored import row_of

    form = stored_form({**document, "title": title, "quantity": 500})
    spec, now = read_document(form), timezone.now()
    job = models.Job.objects.create(**head(form, spec), created_at=now, changed_at=now)
    start = now - timedelta(days=rng.randrange(2000))
    rows = [
        row_of(job, entry, "", "", start + timedelta(minutes=at)) for at, entry in enumerate(_entries(form, count, rng))
    ]
    models.Entry.objects.bulk_create(rows, batch_size=1000)
    kept.keep_ready(job)
    return int(job.pk)


def make_big() -> dict[str, int]:
    """Fill the store; the ids of the jobs with the long and the short history, and of one like all the others."""
    rng = random.Random(SEED)
    files = sorted((settings.ROOT / "demo").glob("*.json"))
    documents = [orjson.loads(file.read_bytes()) for file in files]
    each = (ENTRIES - LONG - SHORT) // (JOBS - 2)
    named: dict[str, int] = {}
    studs = next(document for document in documents if document["title"] == STUDS)
    with transaction.atomic():
        for name, count in (("long", LONG), ("short", SHORT)):
            named[name] = _job(studs, f"The {name} one", count, rng)
        for number in range(JOBS - 2):
            document = documents[number % len(documents)]
            made = _job(document, f"{document['title']} {number}", each, rng)
            if document is studs:
                named["usual"] = made
    return named


def main() -> None:
    """Migrate an empty store, fill it, say what is in it."""
    django.setup()
    call_command("migrate", verbosity=0)
    named = make_big()
    call_command("begin", empty=True)
    print(json.dumps(named))


if __name__ == "__main__":
    main()
