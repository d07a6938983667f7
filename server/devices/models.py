"""What is stored of a device: never the secret in its cookie, only what that hashes to."""

from __future__ import annotations

from typing import Literal, get_args

from django.db import models
from django.db.models import Q

LONGEST_NAME, LONGEST_ID = 40, 16
Role = Literal["fitter", "onlooker"]
ROLES: tuple[Role, ...] = get_args(Role)


class Device(models.Model):
    """A tablet or another machine: a fitter records and changes, an onlooker looks. One that was let go stays, for what
    speaks of it."""

    ident = models.CharField(max_length=LONGEST_ID, primary_key=True)
    name = models.CharField(max_length=LONGEST_NAME)
    role = models.CharField(max_length=8)
    secret = models.CharField(max_length=64, unique=True)
    paired_at = models.DateTimeField()
    seen_at = models.DateTimeField()
    revoked_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ("paired_at", "ident")
        constraints = (
            models.CheckConstraint(condition=Q(role__in=ROLES), name="devices_role"),
            models.UniqueConstraint(
                fields=("name",),
                condition=Q(revoked_at=None),
                name="devices_one_of_a_name",
                violation_error_code="name",
            ),
        )
