import type { JobDocument, Schemas } from '@/shared/api/client'
import { section, type Section } from '@/shared/jobs/sections'

/** What a new job starts as; everything can be changed on its plan. */
export const STARTS = [
  { code: 'stud', name: 'thread at one end, the rest as bought' },
  { code: 'rod', name: 'thread at both ends' },
  { code: 'screw', name: 'thread, turned shank, head of bar size' },
  { code: 'plug', name: 'thread, head milled to a hexagon' },
  { code: 'nut', name: 'nut or cap: hexagon bar with a tapped hole' },
] as const

export interface Typed {
  start: string
  thread: string
  threaded: string
  shank: string
  shank_length: string
  flats: string
}

/** The part a start stands for: a nut is hexagon bar tapped along its axis, through where no depth is typed. */
export function partOf(typed: Typed, across: string, overall: string): JobDocument['part'] {
  const nut = typed.start === 'nut'
  const bore: Schemas['BoreIn'] = {
    id: 'b1',
    end: 'right',
    thread: typed.thread,
    across: '',
    depth: typed.threaded,
    at: '',
    cut: 'tap',
  }
  return {
    id: 'p1',
    name: '',
    stock: { form: nut ? 'hexagon' : 'round', across, bar_length: '' },
    overall_length: overall,
    sections: nut ? [section('s1', 'bar')] : sectionsOf(typed),
    bores: nut ? [bore] : [],
  }
}

/** The sections a start stands for, the last plain one taking what the others leave. */
function sectionsOf(typed: Typed): Section[] {
  const thread = (id: string) => section(id, 'thread', { thread: typed.thread, length: typed.threaded })
  const shank = section('s2', 'round', { across: typed.shank, length: typed.shank_length })
  if (typed.start === 'rod') return [thread('s1'), section('s2', 'bar'), thread('s3')]
  if (typed.start === 'screw') return [thread('s1'), shank, section('s3', 'bar')]
  if (typed.start === 'plug') return [thread('s1'), section('s2', 'hexagon', { across: typed.flats })]
  return [thread('s1'), section('s2', 'bar')]
}

/** Where an error of the document is shown in the form. */
export function beside(start: string): Record<string, string> {
  const shown: Record<string, string> = {
    title: 'title',
    quantity: 'quantity',
    'part.stock.across': 'stock',
    'part.overall_length': 'overall',
    'part.sections.0.thread': 'thread',
    'part.sections.0.length': 'threaded',
    'method.finish': 'finish',
  }
  if (start === 'nut')
    return {
      ...shown,
      'part.bores.0.thread': 'thread',
      'part.bores.0.depth': 'threaded',
      'part.sections.0.length': 'overall',
    }
  if (start === 'screw')
    return {
      ...shown,
      'part.sections.1.across': 'shank',
      'part.sections.1.length': 'shank_length',
      'part.sections.2.length': 'overall',
    }
  if (start === 'plug')
    return { ...shown, 'part.sections.1.across': 'flats', 'part.sections.1.length': 'overall' }
  return { ...shown, 'part.sections.1.length': 'overall' }
}

/** How the last job was made, where that is known: method and lathe of a shop change seldom. */
export interface Habits {
  unit: string
  method: JobDocument['method']
  setup: JobDocument['setup']
}

export function firstHabits(unit: 'in' | 'mm'): Habits {
  return {
    unit,
    method: {
      blank_school: 'pitch-fraction',
      blank_fraction: '',
      finish: 'groove',
      holder: 'sliding-by-hand',
      order: 'from-the-bar',
      support: 'chuck',
      tapping: 'by-centre',
      percent: '',
      overruled: '',
      mate_minor: '',
      mate_pitch: '',
    },
    setup: {
      dial: 'diameter',
      readout: 'readout',
      lathe: 'middling',
      run_down: '',
      groove_blade: unit === 'mm' ? '3' : '1/8',
      groove_edge: 'left',
      parting_blade: unit === 'mm' ? '2.5' : '3/32',
      parting_edge: 'left',
      drills: '',
      mount: 'unsaid',
    },
  }
}
