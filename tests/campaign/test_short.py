"""A short run of the campaign: enough to notice when a promise is broken."""

from __future__ import annotations

import sys
import unittest

from tests.campaign.disks import can_mount, damaged_file, full_disk
from tests.campaign.door import PATIENCE_S, bodies, pictures, strangers
from tests.campaign.fuzz import fuzz
from tests.campaign.kills import cuts, kills
from tests.campaign.load import PEOPLE, load
from tests.campaign.pythons import interpreters


class Short(unittest.TestCase):
    def test_nothing_acknowledged_is_lost_or_doubled_by_a_kill(self) -> None:
        figures = kills(5, seed=3)
        self.assertEqual((figures["kills_lost"], figures["kills_doubled"]), (0, 0))
        self.assertGreaterEqual(figures["kills_acknowledged"], 5 + 1, "one at least before each kill, one at the end")

    def test_an_answer_cut_off_loses_and_doubles_nothing(self) -> None:
        figures = cuts(30)
        self.assertEqual((figures["cuts_lost"], figures["cuts_doubled"]), (0, 0))
        self.assertEqual(figures["cuts_acknowledged"], 30)

    def test_a_full_disk_refuses_with_the_reason_and_is_read_on(self) -> None:
        if not can_mount():
            self.skipTest("this machine lets no process have a file system of its own")
        figures = full_disk()
        self.assertEqual((figures["full_unrefused"], figures["full_unread"]), (0, 0))
        self.assertEqual((figures["full_lost"], figures["full_doubled"]), (0, 0))

    def test_a_file_that_is_damaged_while_it_is_served_is_named_in_every_answer(self) -> None:
        figures = damaged_file(2)
        self.assertEqual(figures["damaged_wrong"], 0)
        self.assertGreater(figures["damaged_named"], 8)

    def test_strangers_who_hold_the_door_do_not_shut_this_machine_out(self) -> None:
        """Shut out, it would have to wait for two minutes; how long it does wait is told by the long run."""
        self.assertLess(strangers(5)["strangers_host_worst_s"], PATIENCE_S)

    def test_what_carries_too_much_is_refused_and_leaves_no_memory_held(self) -> None:
        figures = bodies()
        self.assertEqual((figures["bodies_unrefused"], figures["bodies_kept_wrong"]), (0, 0), figures)

    def test_notes_are_stored_while_large_pictures_arrive(self) -> None:
        figures = pictures(3)
        self.assertEqual((figures["pictures_lost"], figures["pictures_unread"]), (0, 0))

    def test_people_at_once_lose_and_double_nothing(self) -> None:
        figures = load(6, seed=2)
        self.assertEqual((figures["load_lost"], figures["load_doubled"], figures["load_5xx"]), (0, 0, 0))
        self.assertGreaterEqual(figures["load_acknowledged"], PEOPLE)

    def test_this_interpreter_is_among_those_that_are_found(self) -> None:
        """The long run tries the core on each; that it finds some is tried here."""
        found = interpreters()
        self.assertIn(sys.version_info[:2], found)
        self.assertTrue(all(version >= (3, 11) for version in found))

    def test_no_request_is_answered_with_a_server_error(self) -> None:
        figures, failed = fuzz(600, seed=5)
        # How long each took is told by the long run: this machine may be doing anything beside.
        self.assertEqual(figures["fuzz_5xx"], 0, failed)
        self.assertGreater(figures["fuzz_2xx"], 60)
        self.assertGreater(figures["fuzz_4xx"], 200)
