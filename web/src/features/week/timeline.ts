import type { Booking, Week } from '@/features/week/useWeek'

/** The hours in the shop side by side on one line, closed hours left out: where each minute stands (px). */
export interface Stretch {
  begin: number
  end: number
  left: number
  wide: number
  day: string
  date: string
  hours: string
}
const GAP = 14
const LEAST_WIDE = 106

/** How many stretches are drawn: a week of them, and those of the next that begin before it is full. */
export function stretchesIn(week: Week, days: number): Week['stretches'] {
  const until = days * 24 * 60
  return week.stretches.filter((one) => one.begin < until)
}

export function layOut(stretches: Week['stretches'], width: number): Stretch[] {
  const minutes = stretches.reduce((sum, one) => sum + one.end - one.begin, 0)
  const room = Math.max(0, width - GAP * Math.max(0, stretches.length - 1))
  let left = 0
  return stretches.map((one) => {
    const wide = Math.max(
      Math.min(LEAST_WIDE, room / stretches.length),
      ((one.end - one.begin) / minutes) * room,
    )
    const placed = { ...one, left, wide }
    left += wide + GAP
    return placed
  })
}

/** A letter is about so wide (px) in what names a block. */
const LETTER = 7.8
const PAD = 16

/** As many words of a text as a place is wide for (px); none where not even the first is. */
export function wordsIn(text: string, wide: number): string {
  const most = Math.floor((wide - PAD) / LETTER)
  const words = text.split(' ')
  let count = words.length
  while (count && words.slice(0, count).join(' ').length > most) count -= 1
  return words
    .slice(0, count)
    .join(' ')
    .replace(/[,·\s]+$/, '')
}

export interface Block {
  booking: Booking
  left: number
  wide: number
  /** Of that, what sets up. */
  setting: number
  /** Whether this is where it begins, and where it ends. */
  first: boolean
  last: boolean
}

/** A task as it lies on the line: a block for each stretch in which somebody is at it. */
export function blocksOf(booking: Booking, stretches: Stretch[]): Block[] {
  let settingLeft = booking.setting_up
  const blocks: Block[] = []
  const pieces = stretches.flatMap((one) => booking.worked.map((at) => ({ one, from: at.begin, to: at.end })))
  for (const { one, from, to } of pieces) {
    const begin = Math.max(one.begin, from)
    const end = Math.min(one.end, to)
    if (end <= begin) continue
    const scale = one.wide / (one.end - one.begin)
    const setting = Math.min(settingLeft, end - begin)
    settingLeft -= setting
    blocks.push({
      booking,
      left: one.left + (begin - one.begin) * scale,
      wide: (end - begin) * scale,
      setting: setting * scale,
      first: begin === booking.begin,
      last: end === booking.end,
    })
  }
  return blocks
}
