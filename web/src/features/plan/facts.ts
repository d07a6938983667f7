/** The facts of a job that are edited on its plan, in lines of what belongs together. */

export interface Fact {
  field: string
  label: string
  before?: string
  after?: string
  figure?: boolean
  /** Words that may run over several lines. */
  long?: boolean
  telling?: boolean
  /** What is shown where nothing is typed; a figure that is reckoned with then comes from the rules. */
  empty?: string
  from?:
    | 'materials'
    | 'stocks'
    | 'schools'
    | 'finishes'
    | 'holders'
    | 'orders'
    | 'millings'
    | 'batches'
    | 'supports'
    | 'dials'
    | 'readouts'
    | 'lathes'
    | 'edges'
    | 'mounts'
    | 'tool_zeros'
    | 'units'
    | 'machines'
    | 'tappings'
    | 'infeeds'
    | 'points'
  /** Shown where the plan asks for it. */
  asked?: true
}

export const UNITS = [
  { code: 'in', name: 'inches', remark: 'bare numbers are inches' },
  { code: 'mm', name: 'millimetres', remark: 'bare numbers are millimetres' },
]
export const LINES: { name: string; facts: Fact[] }[] = [
  {
    name: 'Part',
    facts: [
      {
        field: 'quantity',
        label: 'Pieces',
        after: 'pieces',
        figure: true,
      },
      { field: 'material', label: 'Metal', before: 'of', from: 'materials' },
      { field: 'part.stock.form', label: 'Stock', before: 'from', from: 'stocks' },
      { field: 'part.stock.across', label: 'Bar size', figure: true },
      {
        field: 'part.stock.bar_length',
        label: 'Length of the bars',
        before: 'in bars of',
        figure: true,
        empty: 'any length',
        asked: true,
      },
      { field: 'unit', label: 'Unit of bare numbers', from: 'units' },
    ],
  },
  {
    name: 'Method',
    facts: [
      {
        field: 'method.blank_school',
        label: 'Blank diameter',
        before: 'blank',
        from: 'schools',
        asked: true,
      },
      {
        field: 'method.blank_fraction',
        label: 'Fraction of the pitch',
        before: 'fraction',
        figure: true,
        asked: true,
      },
      {
        field: 'method.mate_minor',
        label: 'Bore of the mate, measured',
        before: 'its bore',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      {
        field: 'method.mate_pitch',
        label: 'Pitch diameter of the mate, measured',
        before: 'its pitch diameter',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      { field: 'method.finish', label: 'At the shoulder', from: 'finishes', asked: true },
      {
        field: 'method.holder',
        label: 'What holds the die',
        before: 'die in',
        from: 'holders',
        telling: true,
        asked: true,
      },
      {
        field: 'method.because',
        label: 'Why it is threaded so against advice',
        before: 'so, because',
        empty: 'no reason',
        asked: true,
      },
      {
        field: 'method.infeed',
        label: 'How the threading tool is fed in',
        from: 'infeeds',
        telling: true,
        asked: true,
      },
      {
        field: 'method.point',
        label: 'Point of the threading tool',
        from: 'points',
        telling: true,
        asked: true,
      },
      {
        field: 'method.tip',
        label: 'Flat or radius at its point',
        before: 'tip',
        figure: true,
        empty: 'that of the form',
        asked: true,
      },
      {
        field: 'method.lubricant',
        label: 'Lubricant',
        before: 'with',
        empty: 'what suits the metal; or: dry',
        asked: true,
      },
      { field: 'method.order', label: 'Order of work', from: 'orders', telling: true, asked: true },
      { field: 'method.milling', label: 'Flats, keyways, holes across', from: 'millings', asked: true },
      {
        field: 'method.batch',
        label: 'Order of a batch',
        from: 'batches',
        telling: true,
        asked: true,
      },
      {
        field: 'method.support',
        label: 'How it is held',
        before: 'held by',
        from: 'supports',
        telling: true,
      },
      {
        field: 'method.overruled',
        label: 'Why hold it this way anyway',
        before: 'this way anyway, because',
        empty: 'no reason: as the plan says',
        asked: true,
      },
    ],
  },
  {
    name: 'Drills and taps',
    facts: [
      {
        field: 'method.tapping',
        label: 'How holes are tapped',
        from: 'tappings',
        telling: true,
        asked: true,
      },
      {
        field: 'method.percent',
        label: 'Per cent thread in holes',
        before: 'at',
        after: '% thread',
        figure: true,
        empty: 'usual: what suits the metal',
        asked: true,
      },
      {
        field: 'setup.drills',
        label: 'Drills you own',
        before: 'out of',
        empty: 'the racks of your unit; or: metric, 1/4, F',
        figure: true,
        asked: true,
      },
    ],
  },
  {
    name: 'Lathe',
    facts: [
      { field: 'setup.machine', label: 'Lathe of the shop', from: 'machines' },
      { field: 'setup.lathe', label: 'Weight of the lathe', from: 'lathes', asked: true },
      {
        field: 'setup.mount',
        label: 'How the chuck sits on the spindle',
        from: 'mounts',
        telling: true,
        asked: true,
      },
      {
        field: 'setup.tools',
        label: 'Zero of the tools',
        from: 'tool_zeros',
        telling: true,
        asked: true,
      },
      { field: 'setup.dial', label: 'Cross-slide dial', from: 'dials', asked: true },
      { field: 'setup.readout', label: 'Places along the bed', from: 'readouts', asked: true },
      {
        field: 'setup.run_down',
        label: 'Turns the spindle runs on when switched off',
        before: 'runs on',
        after: 'turns',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.leadscrew',
        label: 'Pitch of the leadscrew',
        before: 'leadscrew',
        figure: true,
        empty: '8 tpi, or 3 mm',
        asked: true,
      },
      {
        field: 'setup.gearbox',
        label: 'Pitches its gearbox gives',
        before: 'gearbox',
        figure: true,
        empty: '8, 9, 10 tpi; 0.5, 1 mm',
        asked: true,
      },
      {
        field: 'setup.gears',
        label: 'Change gears you own, by their teeth',
        before: 'gears',
        figure: true,
        empty: '20, 30, 40, 40, 65',
        asked: true,
      },
      {
        field: 'setup.dial_teeth',
        label: "Teeth of the thread dial's wheel",
        before: 'thread dial of',
        after: 'teeth',
        figure: true,
        empty: 'no dial',
        asked: true,
      },
      {
        field: 'setup.dial_lines',
        label: 'Lines of the thread dial',
        after: 'lines',
        figure: true,
        empty: 'no dial',
        asked: true,
      },
      {
        field: 'setup.head_least',
        label: 'Smallest thread the die head cuts',
        before: 'die head from',
        figure: true,
        empty: 'not said',
        asked: true,
      },
      {
        field: 'setup.head_most',
        label: 'Largest thread the die head cuts',
        before: 'to',
        figure: true,
        empty: 'not said',
        asked: true,
      },
      {
        field: 'setup.head_hollow',
        label: 'Longest thread the die head takes in',
        before: 'takes in',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      {
        field: 'setup.head_overrun',
        label: 'How far it cuts on past its stop',
        before: 'opens after',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.groove_blade',
        label: 'Groove blade width',
        before: 'groove blade',
        figure: true,
      },
      { field: 'setup.groove_edge', label: 'Groove blade edge touched off', from: 'edges' },
      {
        field: 'setup.parting_blade',
        label: 'Parting blade width',
        before: 'parting blade',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.parting_edge',
        label: 'Parting blade edge touched off',
        from: 'edges',
        asked: true,
      },
    ],
  },
  {
    name: 'Use',
    facts: [
      { field: 'needed_by', label: 'Needed by', before: 'needed by' },
      { field: 'fits', label: 'Mating part', before: 'fits' },
      {
        field: 'part.afterwards',
        label: 'When it is made',
        before: 'when made',
        empty: 'nothing',
        long: true,
      },
      { field: 'notes', label: 'Notes', before: 'notes', long: true },
    ],
  },
]
