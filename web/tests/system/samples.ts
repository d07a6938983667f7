import type { Figure, Schemas, Sheet, Shown } from '@/shared/api/client'

/** What the page of the system shows: no part of the trade, only something of each kind. */

const lengthOf = (inch: string, mm: string): Shown => ({
  inch: { text: inch, unit: 'in' },
  mm: { text: mm, unit: 'mm' },
})
const same = (text: string, unit: string): Shown => ({ inch: { text, unit }, mm: { text, unit } })

const figure = (name: string, shown: Shown, unit: Figure['unit']): Figure => ({
  name,
  value: Number(shown.inch.text),
  unit,
  shown,
  formula: 'd − 0.1 p',
  inputs: [],
  others: [],
  kind: 'computed',
  note: '',
  source: { kind: 'practice' },
})

export const FIGURES = [
  {
    label: 'blank diameter',
    figure: figure('blank diameter', lengthOf('0.4929', '12.520'), 'in'),
    both: true,
  },
  { label: 'length', figure: figure('length', lengthOf('1.500', '38.10'), 'in') },
  { label: 'speed', figure: figure('speed', same('500', 'rev/min'), 'rev/min') },
  { label: 'chance of being in class', figure: figure('chance', same('96', '%'), '%') },
  { label: 'crest height left', figure: figure('crest height left', same('94', '%'), '%') },
  { label: 'cuts', figure: figure('cuts', same('3', ''), 'cut') },
]

const path = (role: Sheet['paths'][number]['role'], d: string, step = ''): Sheet['paths'][number] => ({
  role,
  d,
  step,
  steps: [],
})
const label = (x: number, y: number, inch: string, field = ''): Sheet['labels'][number] => ({
  x,
  y,
  inch,
  mm: inch,
  field,
  anchor: 'middle',
  step: '',
})

export const SHEET: Sheet = {
  title: 'A stud in its chuck',
  width: 560,
  height: 200,
  paths: [
    path('chuck', 'M10 20H70V150H10Z'),
    path('jaw', 'M70 40H110V60H70ZM70 110H110V130H70Z'),
    path('part', 'M70 60H470V110H70Z'),
    path('removal', 'M300 60H470V68H300ZM300 102H470V110H300Z', 'turn'),
    path('thread', 'M300 68l6 6l6 -6l6 6l6 -6l6 6l6 -6l6 6l6 -6'),
    path('hidden', 'M200 70V100'),
    path('centre', 'M60 85H490'),
    path('aim', 'M300 50V120'),
    path('leader', 'M470 85H500'),
    path('dimension', 'M300 150H470M300 115V156M470 115V156'),
    path('arrow', 'M300 150l8 -3v6zM470 150l-8 -3v6z'),
    path('tool', 'M300 60l-10 -14h14z', 'turn'),
  ],
  labels: [label(385, 172, '1.500', 'length'), label(525, 90, 'Z 0')],
}

export const CAUTIONS: Schemas['Caution'][] = [
  { code: 'chips', do: 'Cover your eyes.', why: 'Short, hot chips fly.' },
]
