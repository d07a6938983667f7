"""In the real page: a key to its painted answer, on the plan of the demo's largest job; the acts of ten jobs."""

from __future__ import annotations

import json
import os
from pathlib import Path
from statistics import median

from playwright.sync_api import Browser, Page, sync_playwright

from benchmarks.speed import LiveServer
from tests.browser.chromium import FLAGS, LAUNCH_MS
from tests.browser.ten_jobs import TEN, Hand, bring_to_the_sheet

KEYS = 100
WARM_UP = 10
WANTED_MS = 50
SENDS, SENT_STEP_MM, MEASURED_JOB = 30, 0.03, 2
"""Readings that a stand-in sends, how much smaller each is than the one before (ten times what it strays by: two alike
would not be told apart), and the job of the demo whose bench stands at a diameter."""

#: From the key going down until the frame that shows what changed on the drawing is handed over.
WATCH = """() => {
  window.painted = []
  let down = 0
  document.addEventListener('keydown', () => { down = performance.now() }, true)
  const channel = new MessageChannel()
  channel.port1.onmessage = () => { if (down) { window.painted.push(performance.now() - down); down = 0 } }
  new MutationObserver(() => requestAnimationFrame(() => channel.port2.postMessage(0)))
    .observe(document.querySelector('.sheet'), { subtree: true, childList: true, characterData: true })
}"""


#: From the key of the caliper until the table of readings shows another.
ARRIVES = """() => {
  window.arrived = []
  window.sent = 0
  const last = () => [...document.querySelectorAll('table tbody tr')].at(-1)?.innerText ?? ''
  let before = last()
  const look = () => {
    const now = last()
    if (now !== before && window.sent) { window.arrived.push(performance.now() - window.sent); window.sent = 0 }
    before = now
  }
  new MutationObserver(() => requestAnimationFrame(look))
    .observe(document.querySelector('.bench'), { subtree: true, childList: true, characterData: true })
}"""
SEND = """value => {
  window.sent = performance.now()
  const token = document.cookie.match(/csrftoken=([^;]+)/)[1]
  const body = JSON.stringify({ do: 'send', value })
  const headers = { 'Content-Type': 'application/json', 'X-CSRFToken': token }
  return fetch('/api/instruments/stand-in', { method: 'POST', headers, body }).then(() => null)
}"""


def _typed(page: Page) -> list[float]:
    """Types another last digit of the overall length, again and again; milliseconds to each painted answer."""
    page.get_by_role("button", name="Sections", exact=True).click()
    field = page.get_by_role("textbox", name="Overall length", exact=True)
    field.fill("42.1")
    page.wait_for_timeout(300)
    page.evaluate(WATCH)
    for number in range(KEYS + WARM_UP):
        field.press("Backspace" if number % 2 else str(1 + number // 2 % 9))
        page.wait_for_function("n => window.painted.length > n", arg=number)
        page.wait_for_timeout(20)
    painted: list[float] = page.evaluate("() => window.painted")
    return painted[WARM_UP:]


def _acts(browser: Browser, address: str) -> dict[str, float]:
    """The most acts, and the most seconds by the keystroke-level model, from the opened page to a set-up sheet."""
    hands = []
    for job in TEN:
        hand = Hand(browser.new_page(base_url=address))
        bring_to_the_sheet(hand, job)
        hands.append(hand)
        hand.page.close()
    return {
        "most_acts": max(hand.acts for hand in hands),
        "most_seconds": round(max(hand.seconds for hand in hands), 1),
    }


def _sent(page: Page, address: str, job: int) -> list[float]:
    """Milliseconds from the key of the stand-in caliper to its reading in the table of the bench."""
    page.goto(f"{address}/jobs/{job}/bench")
    page.evaluate("() => localStorage.setItem('conch.bench.instruments', 'true')")
    # What is sent before the page listens is not shown by it.
    with page.expect_response(lambda response: response.url.endswith("/live")):
        page.reload()
    page.wait_for_function("() => document.querySelector('[aria-label=Instruments]') !== null")
    page.wait_for_timeout(500)
    page.evaluate(ARRIVES)
    # Metal does not come back: each is smaller than the last that was recorded.
    sizes = page.request.get(f"{address}/api/jobs/{job}/bench").json()["sizes"]
    last_mm = float(sizes[0]["readings"][-1]["reading"]["mm"]["text"])
    for number in range(1, SENDS + 1):
        page.evaluate(SEND, f"{last_mm - number * SENT_STEP_MM:.3f}")
        page.wait_for_function("n => window.arrived.length > n", arg=number - 1)
        page.wait_for_timeout(60)
    arrived: list[float] = page.evaluate("() => window.arrived")
    return arrived


def in_the_browser(root: Path) -> dict[str, float]:
    """Milliseconds to paint: median, 95th of 100, how many in time; and the acts that ten jobs take."""
    server = LiveServer(root)
    try:
        jobs = json.loads(server.get("/api/jobs"))["jobs"]
        largest = max(jobs, key=lambda job: len(server.get(f"/api/jobs/{job['id']}")))
        with sync_playwright() as playwright:
            browser = playwright.chromium.launch(
                executable_path=os.environ.get("CONCH_CHROMIUM", "/usr/bin/chromium"), args=FLAGS, timeout=LAUNCH_MS
            )
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            address = f"http://127.0.0.1:{server.connection.port}"
            page.goto(f"{address}/jobs/{largest['id']}")
            times = sorted(_typed(page))
            acts = _acts(browser, address)
            arrived = _sent(page, address, MEASURED_JOB)
            browser.close()
    finally:
        server.stop()
    return {
        "key_to_paint_ms": round(median(times), 1),
        "key_to_paint_95_ms": round(times[int(len(times) * 0.95) - 1], 1),
        "keys_painted_in_time": sum(time <= WANTED_MS for time in times),
        "sent_to_screen_ms": round(median(arrived), 1),
        **acts,
    }
