import type { Schemas } from '@/shared/api/client'
import { type Labelled, named } from '@/shared/figures/labelled'
import type { CardQuery } from '@/features/threads/useCard'

/** Figures of a thread that belong together, and what the person may add to them. */
export interface Group {
  title: string
  /** What is turned and drilled, which is asked for first. */
  first?: true
  field?: keyof CardQuery
  before?: string
  hint?: string
  note?: string
  drills?: Schemas['DrillNumbers'][]
  figures: Labelled[]
}

/** The groups of a thread's page, in the order of the work; those without a figure or a field are left out. */
export function groupsOf(c: Schemas['CardShown']): Group[] {
  const w = c.three_wires
  const groups: Group[] = [
    {
      title: 'Blank diameter',
      first: true,
      figures: c.figures.blank.map((b) => ({
        label: `${b.school}${b.within_class ? '' : ' ⊘ outside class limits'}`,
        figure: b.figure,
      })),
    },
    {
      title: 'Relief groove, chamfer, stress area',
      figures: [
        ...c.figures.groove,
        ...(c.figures.chamfer ? [c.figures.chamfer] : []),
        ...(c.stress ? [c.stress] : []),
        ...c.lengths,
      ].map(named),
    },
    {
      title: 'Measure over wires',
      field: w ? 'wire' : undefined,
      before: 'wire diameter',
      hint: 'best wire',
      note: !w
        ? undefined
        : w.serves
          ? w.drawer.length
            ? `Drill shanks that fit: ${w.drawer.map((d) => d.name).join(', ')}.`
            : undefined
          : '⊘ This wire is outside the usable range. Choose one between the limits below.',
      figures: (w ? [w.chosen, ...w.over, ...w.range, w.lead_angle] : [c.figures.wire]).map(named),
    },
    {
      title: 'Tapping drill',
      first: true,
      field: c.tapping_drills.length ? 'drill' : undefined,
      before: 'thread from a drill of',
      hint: `e.g. ${c.tapping_drills[0]?.name ?? ''}`,
      drills: c.tapping_drills.length ? c.tapping_drills : undefined,
      figures: c.drill.map((figure) => ({ label: figure.note, figure })),
    },
    { title: 'Gauges', figures: [...c.gauges, ...(c.micrometer ? [c.micrometer] : [])].map(named) },
    {
      title: 'Size before plating',
      field: c.limits.length ? 'plating' : undefined,
      before: 'plating',
      hint: 'thickness',
      figures: c.plating.map(named),
    },
  ]
  return groups.filter((g) => g.figures.length || g.field || g.drills)
}
