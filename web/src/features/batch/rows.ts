import type { Schemas } from '@/shared/api/client'

export interface PieceRow {
  piece: number
  state: 'good' | 'scrapped' | 'hand' | 'to-come'
  words: string
}

/** The pieces of a batch, those wanted and those that were scrapped, with what became of each. */
export function piecesOf(batch: Schemas['BatchShown']): PieceRow[] {
  const seen = [...batch.sizes.flatMap((one) => one.points), ...batch.threads.flatMap((one) => one.gauged)]
  const count = Math.max(batch.quantity + batch.scrapped, ...seen.map((one) => one.piece), 1)
  return Array.from({ length: count }, (_, n) => {
    const piece = n + 1
    const became = batch.pieces.find((one) => one.piece === piece)
    if (became)
      return { piece, state: became.good ? 'good' : 'scrapped', words: became.good ? '✓ good' : '✗ scrapped' }
    if (piece === batch.in_hand) return { piece, state: 'hand', words: 'in hand' }
    return { piece, state: 'to-come', words: '' }
  })
}

/** Pieces one after the other that were gauged alike. */
export function runsOf(gauged: readonly Schemas['GaugedShown'][]) {
  const found: { from: number; to: number; said: string; passes: boolean }[] = []
  for (const { piece, said, passes } of gauged) {
    const last = found.at(-1)
    if (last?.said === said && last.to === piece - 1) last.to = piece
    else found.push({ from: piece, to: piece, said, passes })
  }
  return found
}
