"""Published interfaces are those of the code: OpenAPI, job schema."""

from __future__ import annotations

import json
import unittest
from pathlib import Path
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st
from jsonschema import Draft202012Validator

from lathework.bench.entry import KINDS
from lathework.bench.record import ENTRY_KEYS, GONE_KEYS, LONGEST_MAKES, RECORD_KEYS, TOLD_KEYS, read_record
from lathework.cautions import HAZARDS
from lathework.cutting.blank import SCHOOLS
from lathework.cutting.cuts import LATHES
from lathework.cutting.next_cut import DIALS
from lathework.errors import InvalidDocument
from lathework.identify.evidence import FIELDS
from lathework.job import bore_document, part_document
from lathework.job import document as reader
from lathework.job.model import FINISHES, ORDERS, READOUTS, SUPPORTS
from lathework.methods.die import HOLDERS
from lathework.methods.tap import TAPPINGS
from lathework.part.model import CUTTERS, EDGES, MOUTHS, SHAPES
from lathework.part.stock import STOCK_FORMS
from lathework.planning.plan import make_plans
from lathework.reader import LONGEST_LINE
from lathework.shop.metals import materials
from lathework.tests.samples import PLUG, SCREW, document
from lathework.units import LENGTH_UNITS
from server.api import api

FORMATS = Path(__file__).resolve().parents[2] / "docs" / "formats"
SCHEMA: dict[str, Any] = json.loads((FORMATS / "job-3.schema.json").read_text(encoding="utf-8"))
VALIDATOR = Draft202012Validator(SCHEMA)


class OpenApi(unittest.TestCase):
    def test_the_published_schema_is_fresh(self) -> None:
        """`docs/formats/README.md` says how to write it again."""
        published = json.loads((FORMATS / "openapi.json").read_text(encoding="utf-8"))
        self.assertEqual(published, json.loads(json.dumps(api.get_openapi_schema())))


class JobSchema(unittest.TestCase):
    def test_it_is_a_schema(self) -> None:
        Draft202012Validator.check_schema(SCHEMA)

    def test_fields_are_those_that_are_read(self) -> None:
        part, method = (SCHEMA["$defs"][name]["properties"] for name in ("part", "method"))
        for properties, keys in (
            (SCHEMA["properties"], reader.KEYS),
            (part, part_document.PART_KEYS),
            (part["stock"]["properties"], part_document.STOCK_KEYS),
            (SCHEMA["$defs"]["section"]["properties"], part_document.SECTION_KEYS),
            (part["bores"]["items"]["properties"], bore_document.BORE_KEYS),
            (method, reader.METHOD_KEYS),
            (SCHEMA["properties"]["setup"]["properties"], reader.SETUP_KEYS),
            (SCHEMA["properties"]["others"]["items"]["properties"], reader.OTHER_KEYS),
            (SCHEMA["properties"]["identified"]["properties"], reader.IDENTIFIED_KEYS),
            (SCHEMA["$defs"]["record"]["properties"], RECORD_KEYS),
            (SCHEMA["$defs"]["entry"]["properties"], ENTRY_KEYS),
            (SCHEMA["$defs"]["told"]["properties"], TOLD_KEYS),
            (SCHEMA["$defs"]["record"]["properties"]["gone"]["items"]["properties"], GONE_KEYS),
        ):
            self.assertEqual(set(properties), set(keys))

    def test_choices_are_those_of_the_rules(self) -> None:
        at, defs = SCHEMA["properties"], SCHEMA["$defs"]
        part, method = (defs[name]["properties"] for name in ("part", "method"))
        bore = part["bores"]["items"]["properties"]
        for found, choices in (
            (at["unit"], LENGTH_UNITS),
            (at["identified"]["properties"]["evidence"]["propertyNames"], FIELDS),
            (defs["material"], tuple(materials())),
            (defs["section"]["properties"]["shape"], SHAPES),
            (part["stock"]["properties"]["form"], (*STOCK_FORMS, None)),
            (bore["end"], (*MOUTHS, None)),
            (bore["cut"], (*CUTTERS, None)),
            (method["tapping"], (*TAPPINGS, None)),
            (at["hazards"]["items"], HAZARDS),
            (method["blank_school"], SCHOOLS),
            (method["finish"], FINISHES),
            (method["holder"], HOLDERS),
            (method["order"], (*ORDERS, None)),
            (method["support"], (*SUPPORTS, None)),
            (at["setup"]["properties"]["readout"], (*READOUTS, None)),
            (at["setup"]["properties"]["lathe"], (*LATHES, None)),
            (at["setup"]["properties"]["dial"], DIALS),
            (defs["edge"], (*EDGES, None)),
            (defs["entry"]["properties"]["kind"], KINDS),
        ):
            self.assertEqual(set(found["enum"]), set(choices))

    def test_limits_are_those_of_the_reader(self) -> None:
        defs = SCHEMA["$defs"]
        self.assertEqual(defs["line"]["maxLength"], LONGEST_LINE)
        self.assertEqual(defs["note"]["maxLength"], reader.LONGEST_NOTE)
        self.assertEqual(defs["told"]["properties"]["makes"]["maxLength"], LONGEST_MAKES)
        self.assertEqual(SCHEMA["properties"]["others"]["maxItems"], reader.MOST_OTHERS)
        self.assertEqual(defs["quantity"]["oneOf"][0]["maximum"], reader.MOST_PIECES)

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
