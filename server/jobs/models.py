"""What is stored: jobs as documents, everything recorded at the bench as an append-only list of entries, and the rows
that are kept ready of them: written in the transaction of the entry they follow from, and made anew by `rebuild`."""

from __future__ import annotations

from django.db import models
from django.db.models import Q

from lathework.bench.entry import KINDS
from server.site.keys import LONGEST_ACT

LONGEST_ID, LONGEST_KEY = 16, 60


class Job(models.Model):
    """A job. `document` is its job document; title and thread repeat it. `revision` counts every change but entries."""

    document = models.JSONField()
    title = models.CharField(max_length=120)
    thread = models.TextField()
    revision = models.PositiveIntegerField(default=1)
    held = models.TextField(blank=True)
    closed = models.TextField(blank=True)
    closed_at = models.DateTimeField(null=True)
    archived_at = models.DateTimeField(null=True)
    deleted_at = models.DateTimeField(null=True)
    created_at = models.DateTimeField()
    changed_at = models.DateTimeField()

    class Meta:
        ordering = ("-changed_at", "-id")


class Entry(models.Model):
    """One thing recorded at the bench, with what its step was then. Undone entries stay, and no longer count."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="entries")
    kind = models.CharField(max_length=12)
    part = models.CharField(max_length=LONGEST_ID)
    piece = models.PositiveIntegerField()
    step = models.CharField(max_length=LONGEST_KEY)
    value_mm = models.FloatField(null=True)
    measured = models.CharField(max_length=20, blank=True)
    dialled_mm = models.FloatField(null=True)
    stated = models.BooleanField(default=False)
    wire_mm = models.FloatField(null=True)
    within_mm = models.FloatField(null=True)
    tried = models.CharField(max_length=20, blank=True)
    mate = models.CharField(max_length=60, blank=True)
    by = models.CharField(max_length=60, blank=True)
    device = models.CharField(max_length=60, blank=True)
    word = models.CharField(max_length=60, blank=True)
    eighths = models.FloatField(null=True)
    text = models.TextField(blank=True)
    why = models.CharField(max_length=20, blank=True)
    typed = models.CharField(max_length=60, blank=True)
    unit = models.CharField(max_length=2, blank=True)
    ended = models.BooleanField(default=False)
    then = models.PositiveIntegerField(null=True)
    title = models.CharField(max_length=120, blank=True)
    part_name = models.CharField(max_length=120, blank=True)
    metal = models.CharField(max_length=120, blank=True)
    thread = models.CharField(max_length=120, blank=True)
    class_name = models.CharField(max_length=120, blank=True)
    makes = models.TextField(blank=True)
    tool = models.CharField(max_length=120, blank=True)
    die = models.CharField(max_length=LONGEST_ID, blank=True)
    aim_mm = models.FloatField(null=True)
    low_mm = models.FloatField(null=True)
    high_mm = models.FloatField(null=True)
    revision = models.PositiveIntegerField(default=0)
    at = models.DateTimeField()
    undone_at = models.DateTimeField(null=True)
    undone_on = models.CharField(max_length=60, blank=True)

    class Meta:
        ordering = ("id",)
        indexes = (
            models.Index(fields=("job", "undone_at")),
            models.Index(fields=("kind",), condition=Q(undone_at=None), name="jobs_entry_live_kind"),
        )
        constraints = (
            models.CheckConstraint(condition=Q(kind__in=KINDS), name="jobs_entry_kind"),
            models.CheckConstraint(condition=Q(unit__in=("", "in", "mm")), name="jobs_entry_unit"),
            models.CheckConstraint(condition=Q(piece__gte=1), name="jobs_entry_piece"),
        )


STATES = ("planned", "on the bench", "held", "finished", "closed", "unreadable")
SHELVES = ("open", "archive", "bin")


class StandingRow(models.Model):
    """Where a job stands, as the lists show it, and the folded state that its next entry is added to.

    `rules` names the rules it was folded by; `unreadable` says why they no longer read the job, "" when they do;
    `last_entry` is the id of the last entry that counts, 0 for none; `paused_at` is when it was a pause.
    """

    job = models.OneToOneField(Job, on_delete=models.CASCADE, primary_key=True, related_name="row")
    shelf = models.CharField(max_length=8)
    rank = models.PositiveSmallIntegerField()
    state = models.CharField(max_length=12)
    changed_at = models.DateTimeField()
    title = models.CharField(max_length=120)
    needed_by = models.CharField(max_length=120, blank=True)
    thread = models.TextField(blank=True)
    material = models.TextField(blank=True)
    identified = models.TextField(blank=True)
    quantity = models.PositiveIntegerField(default=0)
    good = models.PositiveIntegerField(default=0)
    scrapped = models.PositiveIntegerField(default=0)
    piece = models.PositiveIntegerField(default=1)
    steps = models.PositiveIntegerField(default=0)
    steps_done = models.PositiveIntegerField(default=0)
    next_step = models.CharField(max_length=120, blank=True)
    setting = models.FloatField(default=0.0)
    cutter = models.CharField(max_length=16, default="die")
    held = models.TextField(blank=True)
    closed = models.TextField(blank=True)
    unreadable = models.TextField(blank=True)
    last_entry = models.BigIntegerField(default=0)
    paused_at = models.DateTimeField(null=True)
    folded = models.JSONField(default=dict)
    rules = models.CharField(max_length=64, blank=True)

    class Meta:
        indexes = (models.Index(fields=("shelf", "rank", "-changed_at", "-job"), name="jobs_standing_list"),)
        constraints = (
            models.CheckConstraint(condition=Q(state__in=STATES), name="jobs_standing_state"),
            models.CheckConstraint(condition=Q(shelf__in=SHELVES), name="jobs_standing_shelf"),
        )


class PieceRow(models.Model):
    """A piece that was finished or scrapped, with the entry that says so."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="pieces")
    entry = models.ForeignKey(Entry, on_delete=models.CASCADE, related_name="+")
    part = models.CharField(max_length=LONGEST_ID)
    piece = models.PositiveIntegerField()
    good = models.BooleanField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("job", "part", "piece"), name="jobs_piece_once"),)


class GaugingRow(models.Model):
    """What a die did: the last verdict on a thread of a piece, its blank, and how far the die stood open in eighths, or
    a head in graduations; what the `cutter` was; or what a threaded hole was gauged as, `inside`: no die made that."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="gaugings")
    entry = models.ForeignKey(Entry, on_delete=models.CASCADE, related_name="+")
    part = models.CharField(max_length=LONGEST_ID)
    piece = models.PositiveIntegerField()
    step = models.CharField(max_length=LONGEST_KEY)
    thread = models.CharField(max_length=120)
    metal = models.CharField(max_length=120)
    verdict = models.CharField(max_length=60)
    blank_mm = models.FloatField(null=True)
    eighths = models.FloatField()
    die = models.CharField(max_length=LONGEST_ID, blank=True)
    inside = models.BooleanField(default=False)
    cutter = models.CharField(max_length=16, default="die")

    class Meta:
        constraints = (models.UniqueConstraint(fields=("job", "part", "piece", "step"), name="jobs_gauging_once"),)
        indexes = (
            models.Index(fields=("thread", "metal", "verdict", "entry"), name="jobs_gauging_die"),
            models.Index(fields=("die", "-entry"), name="jobs_gauging_own"),
        )


class TrialRow(models.Model):
    """Every verdict on a thread of a die of the shop, also those before its last: how far the die stood open in eighths
    of a turn, the metal, what it was tried with, and its measured size with the uncertainty of that, where there is
    one; `again` where it is the thread of the verdict before; `placed` where somebody said in that job from where it
    was opened or closed, `on` the known screw that this is counted from; `mate` the very nut by its name; `since` what
    came to the die after the thread before. What is known of the die is learned from them."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="trials")
    entry = models.ForeignKey(Entry, on_delete=models.CASCADE, related_name="+")
    die = models.CharField(max_length=LONGEST_ID)
    thread = models.CharField(max_length=120)
    metal = models.CharField(max_length=120)
    verdict = models.CharField(max_length=60)
    eighths = models.FloatField()
    off_mm = models.FloatField(null=True)
    within_mm = models.FloatField(default=0.0)
    tried = models.CharField(max_length=20, blank=True)
    again = models.BooleanField(default=False)
    placed = models.BooleanField(default=True)
    on = models.CharField(max_length=60, blank=True)
    mate = models.CharField(max_length=60, blank=True)
    since = models.CharField(max_length=10, blank=True)

    class Meta:
        indexes = (models.Index(fields=("die", "-entry"), name="jobs_trial_own"),)


class CutRow(models.Model):
    """A cut whose dial was stated, on a lathe of the shop, and what it took off (millimetres of the size): the lathe by
    its id, the metal, the tool, how the work was carried, and how many of its diameters it stood out; `follows` says
    that it was made from where the cut before it left the tool."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="cuts")
    entry = models.ForeignKey(Entry, on_delete=models.CASCADE, related_name="+")
    machine = models.CharField(max_length=LONGEST_ID)
    metal = models.CharField(max_length=120)
    tool = models.CharField(max_length=120)
    carried = models.CharField(max_length=20)
    out = models.PositiveSmallIntegerField()
    dialled_mm = models.FloatField()
    came_off_mm = models.FloatField()
    follows = models.BooleanField(default=False)

    class Meta:
        indexes = (models.Index(fields=("machine", "metal", "-entry"), name="jobs_cut_like"),)


class TookRow(models.Model):
    """How long a step of a piece took (minutes, between entries) beside what its plan expected: its kind, the metal,
    the lathe by its id, whether it was of the `first` piece, the `way` of threading and the `size` of the work;
    `entry` is its last. Setting up for a job is a row, too."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="took")
    entry = models.ForeignKey(Entry, on_delete=models.CASCADE, related_name="+")
    part = models.CharField(max_length=LONGEST_ID)
    piece = models.PositiveIntegerField()
    step = models.CharField(max_length=LONGEST_KEY)
    kind = models.CharField(max_length=20)
    metal = models.CharField(max_length=120)
    machine = models.CharField(max_length=LONGEST_ID, blank=True)
    first = models.BooleanField(default=False)
    way = models.CharField(max_length=20, blank=True)
    size = models.CharField(max_length=20, blank=True)
    minutes = models.FloatField()
    expected = models.FloatField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("job", "part", "piece", "step"), name="jobs_took_once"),)
        indexes = (models.Index(fields=("-entry",), name="jobs_took_latest"),)


class LessonRow(models.Model):
    """A mistake that was named: at what kind of step, in which metal, with which die and tool; what became of it."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="lessons")
    entry = models.OneToOneField(Entry, on_delete=models.CASCADE, related_name="+")
    piece = models.PositiveIntegerField()
    of = models.CharField(max_length=LONGEST_KEY)
    step = models.CharField(max_length=120, blank=True)
    thread = models.CharField(max_length=120, blank=True)
    die = models.CharField(max_length=LONGEST_ID, blank=True)
    metal = models.CharField(max_length=120, blank=True)
    tool = models.CharField(max_length=120, blank=True)
    became = models.CharField(max_length=60, blank=True)
    said = models.TextField(blank=True)
    why = models.CharField(max_length=20)
    at = models.DateTimeField()

    class Meta:
        indexes = (models.Index(fields=("of", "-entry"), name="jobs_lesson_of"),)


class ClosedAnswer(models.Model):
    """What a closed job answers, as it was worked out when it was closed: compressed, by name."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="answers")
    name = models.CharField(max_length=40)
    content = models.BinaryField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=("job", "name"), name="jobs_closed_answer_once"),)


class Act(models.Model):
    """The key of something a person did: the same one sent twice is done once."""

    key = models.CharField(max_length=LONGEST_ACT, unique=True)
    what = models.CharField(max_length=20)
    said = models.CharField(max_length=64, default="")
    """A digest of all that came with it; none for what was done before that was kept."""
    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="+")
    at = models.DateTimeField()


class Begun(models.Model):
    """One row, once the store has its first contents: demo jobs, or none because nobody wanted them."""

    at = models.DateTimeField()
