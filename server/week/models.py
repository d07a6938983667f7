"""What is said of the week: when a job is wanted and what it waits for, who is in the shop when, what was put before
what by hand, and the best order that was found."""

from __future__ import annotations

from django.db import models
from django.db.models import F, Q

from lathework.week.model import WEIGHTS

LONGEST_DAY, LONGEST_NAME, LONGEST_HOURS = 120, 60, 2000


class Wish(models.Model):
    """When a job is wanted, as it was said and as a day (none for whenever); what a day late costs; what it waits for;
    who may do it, "" for anybody. `revision` tells one page that another one changed it."""

    job = models.OneToOneField("jobs.Job", on_delete=models.CASCADE, primary_key=True, related_name="+")
    said = models.CharField(max_length=LONGEST_DAY, blank=True)
    day = models.DateField(null=True)
    weight = models.CharField(max_length=12, default="usual")
    after = models.ForeignKey("jobs.Job", on_delete=models.SET_NULL, null=True, related_name="+")
    from_said = models.CharField(max_length=LONGEST_DAY, blank=True)
    from_day = models.DateField(null=True)
    who = models.CharField(max_length=LONGEST_NAME, blank=True)
    revision = models.PositiveIntegerField(default=0)

    class Meta:
        constraints = (
            models.CheckConstraint(condition=Q(weight__in=tuple(WEIGHTS)), name="week_wish_weight"),
            models.CheckConstraint(condition=Q(after=None) | ~Q(after=F("job")), name="week_wish_not_itself"),
        )


class Person(models.Model):
    """Somebody who works in the shop: the usual week and single days, as they were typed; the `lathes` they use, by
    their ids, none for all."""

    name = models.CharField(max_length=LONGEST_NAME, unique=True)
    usual = models.CharField(max_length=LONGEST_HOURS, blank=True)
    changed = models.CharField(max_length=LONGEST_HOURS, blank=True)
    lathes = models.JSONField(default=list)
    place = models.PositiveSmallIntegerField()

    class Meta:
        ordering = ("place", "pk")


class ChangedDay(models.Model):
    """A day on which somebody's hours differ, read when it was typed: "Saturday" stays that Saturday."""

    person = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="days")
    day = models.DateField()
    spans = models.JSONField(default=list)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("person", "day"), name="week_changed_once"),)


class PutBefore(models.Model):
    """One job was put before another by hand."""

    first = models.ForeignKey("jobs.Job", on_delete=models.CASCADE, related_name="+")
    then = models.ForeignKey("jobs.Job", on_delete=models.CASCADE, related_name="+")

    class Meta:
        constraints = (models.UniqueConstraint(fields=("first", "then"), name="week_before_once"),)


class BestOrder(models.Model):
    """The sequence that a search found, tasks by their ids: later orders begin from it. One row."""

    sequence = models.JSONField()
    at = models.DateTimeField()
