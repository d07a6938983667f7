"""Published interfaces are those of the code: OpenAPI, job schema."""

from __future__ import annotations

import json
import unittest
from dataclasses import fields
from pathlib import Path
from typing import Any, get_args, get_type_hints

from hypothesis import given, settings
from hypothesis import strategies as st
from jsonschema import Draft202012Validator

from lathework.bench.entry import Story
from lathework.bench.record.declaration import TOLD, job_file_schema
from lathework.bench.record.document import read_record
from lathework.cautions import HAZARDS
from lathework.cutting.blank import SCHOOLS
from lathework.cutting.knurl import PATTERNS, Knurl
from lathework.errors import InvalidDocument
from lathework.fields import Choice
from lathework.job import choice_words
from lathework.job import document as reader
from lathework.job.declaration import METHOD, SETUP
from lathework.job.model import FINISHES, MILLINGS, ORDERS, SUPPORTS, Method, Setup
from lathework.job.part_declaration import BORE, SECTION, STOCK
from lathework.methods.die_holdings import HOLDERS
from lathework.methods.infeed import INFEEDS
from lathework.methods.tap import TAPPINGS
from lathework.part.model import (
    BROKEN,
    EDGES,
    FINISHERS,
    MOUTHS,
    SHAPES,
    Bore,
    Section,
    Stock,
)
from lathework.part.stock import STOCK_FORMS
from lathework.part.thread_cutters import CUTTERS, OUTSIDE_CUTTERS
from lathework.planning.plan import make_plans
from lathework.shop import lathe_words
from lathework.shop.kit_choices import GROUND
from lathework.shop.kit_file import kit_schema
from lathework.shop.lathe_facts import DIALS, LATHES, MOUNTS, READOUTS, TOOL_ZEROS
from lathework.tests.samples import PLUG, SCREW, document
from server.api import api

FORMATS = Path(__file__).resolve().parents[2] / "docs" / "formats"
SCHEMA: dict[str, Any] = json.loads((FORMATS / "job-3.schema.json").read_text(encoding="utf-8"))
VALIDATOR = Draft202012Validator(SCHEMA)


class OpenApi(unittest.TestCase):
    def test_the_published_schema_is_fresh(self) -> None:
        """`docs/formats/README.md` says how to write it again."""
        published = json.loads((FORMATS / "openapi.json").read_text(encoding="utf-8"))
        self.assertEqual(published, json.loads(json.dumps(api.get_openapi_schema())))


class KitSchema(unittest.TestCase):
    def test_the_published_schema_is_fresh(self) -> None:
        published = json.loads((FORMATS / "kit-1.schema.json").read_text(encoding="utf-8"))
        self.assertEqual(published, kit_schema())
        Draft202012Validator.check_schema(published)


REGISTERED = {"holder": HOLDERS}
"""Choices whose codes are known once their room is loaded."""


class JobSchema(unittest.TestCase):
    def test_it_is_a_schema(self) -> None:
        Draft202012Validator.check_schema(SCHEMA)

    def test_it_is_that_of_the_declaration(self) -> None:
        """`docs/formats/README.md` says how to write it again."""
        self.assertEqual(SCHEMA, json.loads(json.dumps(job_file_schema())))

    def test_what_is_told_of_a_step_is_declared(self) -> None:
        self.assertEqual(TOLD.keys, tuple(field.name for field in fields(Story)))

    def test_every_choice_is_one_of_the_rules(self) -> None:
        """A declared choice is one that its type has, or one of a room that registers itself: nothing else may reach
        the rules."""
        for group, model in ((METHOD, Method), (SETUP, Setup), (SECTION, Section), (BORE, Bore), (STOCK, Stock)):
            # The pattern of a knurl is a choice of its section.
            types = get_type_hints(Knurl) | get_type_hints(model)
            for name, one in group.fields.items():
                if isinstance(one, Choice):
                    self.assertEqual(one.allowed, get_args(types[name]) or REGISTERED[name], name)

    def test_every_choice_has_its_words(self) -> None:
        for named, allowed in (
            (choice_words.SHAPES, SHAPES),
            (choice_words.STOCKS, STOCK_FORMS),
            (choice_words.FINISHES, FINISHES),
            (choice_words.ORDERS, ORDERS),
            (choice_words.SUPPORTS, SUPPORTS),
            (lathe_words.DIALS, DIALS),
            (lathe_words.READOUTS, READOUTS),
            (lathe_words.LATHES, LATHES),
            (lathe_words.MOUNTS, MOUNTS),
            (lathe_words.TOOL_ZEROS, TOOL_ZEROS),
            (choice_words.EDGES, EDGES),
            (choice_words.BROKEN, BROKEN),
            (choice_words.PATTERNS, PATTERNS),
            (choice_words.FINISHERS, FINISHERS),
            (choice_words.MILLINGS, MILLINGS),
            (choice_words.MOUTHS, MOUTHS),
            (choice_words.CUTTERS, CUTTERS),
            (choice_words.SCHOOLS, SCHOOLS),
            (choice_words.HOLDERS, HOLDERS),
            (choice_words.OUTSIDE_CUTTERS, OUTSIDE_CUTTERS),
            (choice_words.INFEEDS, INFEEDS),
            (choice_words.POINTS, GROUND),
            (choice_words.TAPPINGS, TAPPINGS),
            (choice_words.HAZARDS, HAZARDS),
        ):
            self.assertEqual(tuple(named), tuple(allowed))
            self.assertTrue(all(name and remark for name, remark in named.values()))

    def test_the_api_takes_what_is_declared(self) -> None:
        models = api.get_openapi_schema()["components"]["schemas"]
        for group in (METHOD, SETUP, SECTION, BORE, STOCK):
            told = models[f"{group.name.title()}In"]["properties"]
            self.assertEqual(tuple(told), group.keys)
            for name, one in group.fields.items():
                if isinstance(one, Choice):
                    self.assertEqual(tuple(told[name]["enum"]), one.allowed)

    @settings(max_examples=300)
    @given(
        st.sampled_from(
            [
                *("format", "version", "title", "quantity", "unit", "material", "hazards", "notes", "needed_by"),
                *(
                    "part.stock.form",
                    "part.sections",
                    "part.sections.0.thread",
                    "part.stock.across",
                    "setup.groove_edge",
                ),
                *("part.sections.1.length", "part.sections.0.shape", "part.sections.0.chamfer", "part.overall_length"),
                *("method.holder", "method.order", "setup.run_down", "setup.lathe", "part.sections.0.measured"),
                *("others", "part.bores", "part.name", "method.tapping", "method.percent", "setup.drills"),
                *("part.id", "part.sections.0.id"),
                *(
                    "method.blank_fraction",
                    "method.finish",
                    "setup.dial",
                    "setup.parting_blade",
                    "record",
                    "identified",
                ),
            ]
        ),
        st.none() | st.booleans() | st.integers(-3, 600) | st.text(max_size=12) | st.just([]) | st.just({}),
        st.sampled_from([{}, SCREW, PLUG]),
    )
    def test_what_is_read_is_valid(self, path: str, value: object, base: dict[str, Any]) -> None:
        """The schema never refuses what the reader takes (the reader may refuse more: sizes that do not fit)."""
        changed = document({**base, path: value}) if value is not None else document(base)
        try:
            plans = make_plans(reader.read_document(changed))
            read_record(changed.get("record"), plans, 3)
        except InvalidDocument:
            return
        self.assertEqual([error.message for error in VALIDATOR.iter_errors(changed)], [])
