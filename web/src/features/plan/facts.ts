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
    | 'dears'
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
  { code: 'in', name: 'inches', remark: 'numbers without a unit are inches' },
  { code: 'mm', name: 'millimetres', remark: 'numbers without a unit are millimetres' },
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
      { field: 'material', label: 'Material', before: 'of', from: 'materials' },
      { field: 'part.stock.form', label: 'Stock', before: 'from', from: 'stocks' },
      { field: 'part.stock.across', label: 'Bar size', figure: true },
      {
        field: 'part.stock.bar_length',
        label: 'Bar length',
        before: 'in bars of',
        figure: true,
        empty: 'any length',
        asked: true,
      },
      { field: 'unit', label: 'Units', from: 'units' },
    ],
  },
  {
    name: 'Process',
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
        label: 'Blank undersize by this fraction of the pitch',
        before: 'fraction',
        figure: true,
        asked: true,
      },
      {
        field: 'method.mate_minor',
        label: 'Bore of the mating nut',
        before: 'nut bore',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      {
        field: 'method.mate_pitch',
        label: 'Pitch diameter of the mating nut',
        before: 'nut pitch diameter',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      { field: 'method.finish', label: 'Thread end at the shoulder', from: 'finishes', asked: true },
      {
        field: 'method.holder',
        label: 'Die held in',
        before: 'die held in',
        from: 'holders',
        telling: true,
        asked: true,
      },
      {
        field: 'method.because',
        label: 'Reason for not taking the advised method',
        before: 'chosen because',
        empty: 'not given',
        asked: true,
      },
      {
        field: 'method.infeed',
        label: 'Infeed',
        from: 'infeeds',
        telling: true,
        asked: true,
      },
      {
        field: 'method.point',
        label: 'Tool point',
        from: 'points',
        telling: true,
        asked: true,
      },
      {
        field: 'method.tip',
        label: 'Flat or radius at the point',
        before: 'tip',
        figure: true,
        empty: 'as the standard',
        asked: true,
      },
      {
        field: 'method.lubricant',
        label: 'Lubricant',
        before: 'with',
        empty: 'blank: suits the material; or type dry',
        asked: true,
      },
      { field: 'method.order', label: 'Order of work', from: 'orders', telling: true, asked: true },
      {
        field: 'method.milling',
        label: 'When to mill flats and keyways and drill cross holes',
        from: 'millings',
        asked: true,
      },
      {
        field: 'method.batch',
        label: 'Batch order',
        from: 'batches',
        telling: true,
        asked: true,
      },
      {
        field: 'method.dear',
        label: 'A scrapped piece costs',
        before: 'a scrapped piece costs',
        from: 'dears',
        telling: true,
        asked: true,
      },
      {
        field: 'method.support',
        label: 'Workholding',
        before: 'held by',
        from: 'supports',
        telling: true,
      },
      {
        field: 'method.overruled',
        label: 'Reason for this workholding',
        before: 'held this way because',
        empty: 'blank: as planned',
        asked: true,
      },
    ],
  },
  {
    name: 'Drills and taps',
    facts: [
      {
        field: 'method.tapping',
        label: 'Tapping method',
        from: 'tappings',
        telling: true,
        asked: true,
      },
      {
        field: 'method.percent',
        label: 'Thread percentage in holes',
        before: 'at',
        after: '% thread',
        figure: true,
        empty: 'blank: suits the material',
        asked: true,
      },
      {
        field: 'setup.drills',
        label: 'Drills you own',
        before: 'choose from',
        empty: 'e.g. metric, 1/4, F (blank: every drill in your units)',
        figure: true,
        asked: true,
      },
    ],
  },
  {
    name: 'Lathe',
    facts: [
      { field: 'setup.machine', label: 'Lathe', from: 'machines' },
      { field: 'setup.lathe', label: 'Size of lathe', from: 'lathes', asked: true },
      {
        field: 'setup.mount',
        label: 'Chuck mounting',
        from: 'mounts',
        telling: true,
        asked: true,
      },
      {
        field: 'setup.tools',
        label: 'Tool zeros',
        from: 'tool_zeros',
        telling: true,
        asked: true,
      },
      { field: 'setup.dial', label: 'Cross-slide dial reads', from: 'dials', asked: true },
      { field: 'setup.readout', label: 'Position along the bed', from: 'readouts', asked: true },
      {
        field: 'setup.run_down',
        label: 'Spindle run-on after switch-off',
        before: 'runs on',
        after: 'turns',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.leadscrew',
        label: 'Leadscrew pitch',
        before: 'leadscrew',
        figure: true,
        empty: '8 tpi, or 3 mm',
        asked: true,
      },
      {
        field: 'setup.gearbox',
        label: 'Gearbox pitches',
        before: 'gearbox',
        figure: true,
        empty: '8, 9, 10 tpi; 0.5, 1 mm',
        asked: true,
      },
      {
        field: 'setup.gears',
        label: 'Change gears you own (teeth)',
        before: 'gears',
        figure: true,
        empty: '20, 30, 40, 40, 65',
        asked: true,
      },
      {
        field: 'setup.dial_teeth',
        label: 'Thread dial gear',
        before: 'thread dial of',
        after: 'teeth',
        figure: true,
        empty: 'no dial',
        asked: true,
      },
      {
        field: 'setup.dial_lines',
        label: 'Thread dial lines',
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
        empty: 'not given',
        asked: true,
      },
      {
        field: 'setup.head_most',
        label: 'Largest thread the die head cuts',
        before: 'to',
        figure: true,
        empty: 'not given',
        asked: true,
      },
      {
        field: 'setup.head_hollow',
        label: 'Longest thread the die head can cut',
        before: 'up to',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      {
        field: 'setup.head_overrun',
        label: 'Die head overrun past its stop',
        before: 'overrun',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.groove_blade',
        label: 'Grooving blade width',
        before: 'grooving blade',
        figure: true,
      },
      { field: 'setup.groove_edge', label: 'Grooving blade: edge touched off', from: 'edges' },
      {
        field: 'setup.parting_blade',
        label: 'Parting blade width',
        before: 'parting blade',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.parting_edge',
        label: 'Parting blade: edge touched off',
        from: 'edges',
        asked: true,
      },
    ],
  },
  {
    name: 'Use',
    facts: [
      { field: 'needed_by', label: 'For (machine or person)', before: 'for' },
      { field: 'fits', label: 'Mating part', before: 'mating part' },
      {
        field: 'part.afterwards',
        label: 'After it is made',
        before: 'then',
        empty: 'nothing',
        long: true,
      },
      { field: 'notes', label: 'Notes', before: 'notes', long: true },
    ],
  },
]
