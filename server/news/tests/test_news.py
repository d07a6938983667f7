"""What is told when something changes, and that it is told when it is stored, not before and not otherwise."""

from __future__ import annotations

import threading
import time
from collections.abc import Iterator
from typing import cast
from unittest import mock

from django.db import transaction
from django.test import TestCase, TransactionTestCase

from server.instruments.hub import Hub
from server.jobs.tests.case import ApiCase
from server.news import api
from server.site.news import KEPT, NEWS, Change, News


class TheHub(TestCase):
    def test_each_change_is_said_once_and_in_order(self) -> None:
        news = News()
        news.tell("kit")
        news.tell("job", 7, "k")
        self.assertEqual(news.wait(0, 0), [Change(1, "kit", 0, ""), Change(2, "job", 7, "k")])
        self.assertEqual(news.wait(2, 0), [])

    def test_who_waits_is_woken(self) -> None:
        news, heard = News(), list[Change]()
        waiting = threading.Thread(target=lambda: heard.extend(news.wait(0, 20)))
        waiting.start()
        news.tell("job", 3)
        waiting.join(20)
        self.assertEqual(heard, [Change(1, "job", 3, "")])

    def test_who_waits_is_let_go_at_the_end(self) -> None:
        for hub in (News(), Hub()):
            with self.subTest(type(hub).__name__):
                waiting = threading.Thread(target=hub.wait, args=(0, 60), daemon=True)
                waiting.start()
                time.sleep(0.1)
                hub.close()
                waiting.join(20)
                self.assertFalse(waiting.is_alive(), "whoever ends the server would wait as long")

    def test_only_so_many_are_kept(self) -> None:
        news = News()
        for _ in range(KEPT + 5):
            news.tell("kit")
        self.assertEqual(len(news.wait(0, 0)), KEPT)


class WhenItIsStored(TransactionTestCase):
    def test_what_is_rolled_back_is_not_told(self) -> None:
        before = NEWS.newest()
        with self.assertRaises(ZeroDivisionError), transaction.atomic():
            NEWS.tell_once_stored("job", 1)
            raise ZeroDivisionError
        self.assertEqual(NEWS.newest(), before)
        with transaction.atomic():
            NEWS.tell_once_stored("job", 1)
            self.assertEqual(NEWS.newest(), before)
        self.assertEqual(NEWS.newest(), before + 1)


class OverTheApi(ApiCase):
    def listen(self) -> Iterator[bytes]:
        """A page that listens: it has its place, and gives it up when it is closed."""
        answer = self.client.get("/api/news")
        self.assertEqual(answer["Content-Type"], "text/event-stream")
        events = cast(Iterator[bytes], answer.streaming_content)  # type: ignore[attr-defined]
        self.assertEqual(next(events), b": here\n\n")
        return events

    def leave(self, *listening: Iterator[bytes]) -> None:
        """The server ends, and every stream with it; then it runs again."""
        NEWS.close()
        for events in listening:
            self.assertLess(len(list(events)), 8)
        NEWS.closed = False

    def test_an_entry_is_news_and_a_refused_one_is_none(self) -> None:
        with mock.patch.object(api, "BEAT_S", 0.01):
            events = self.listen()
            with self.captureOnCommitCallbacks(execute=True):
                self.record("note", reason="")
                self.record("note", reason="new bar from here")
            told = next(event for event in events if event.startswith(b"event"))
            self.assertEqual(told, b'event: change\ndata: {"topic":"job","job":%d,"key":""}\n\n' % self.job.pk)
            self.leave(events)

    def test_only_so_many_listen_and_each_leaves_its_place(self) -> None:
        listening = [self.listen() for _ in range(api.MOST_STREAMS)]
        told = self.client.get("/api/news")
        self.assertEqual((told.status_code, told.json()["code"]), (409, "too-many"))
        self.leave(*listening)
        self.leave(self.listen())

    def test_the_stream_of_a_device_that_is_let_go_ends(self) -> None:
        with mock.patch.object(api, "BEAT_S", 0.01):
            events = self.listen()
            next(events)
            with mock.patch.object(api, "who", return_value=None):
                self.assertLess(len(list(events)), 3)

    def test_what_was_done_meanwhile(self) -> None:
        saw = self.saw()
        self.record("note", reason="new bar from here")
        told = self.get(self.url(f"/meanwhile?last={saw['last']}&revision={saw['revision']}"))
        self.assertEqual([entry["said"] for entry in told["entries"]], ["new bar from here"])
        self.assertEqual((told["taken_back"], told["changed"]), (False, False))
        later = self.saw()
        self.act("undo")
        told = self.get(self.url(f"/meanwhile?last={later['last']}&revision={later['revision']}"))
        self.assertEqual((told["entries"], told["taken_back"], told["changed"]), ([], True, False))
        self.act("hold", reason="the reamer")
        told = self.get(self.url(f"/meanwhile?last=0&revision={saw['revision']}"))
        self.assertEqual((told["entries"], told["taken_back"], told["changed"]), ([], False, True))
