import type { Figure } from '@/shared/api/client'

/** A figure of a block, and how it is told there. */
export interface Labelled {
  label: string
  figure: Figure
  /** Coral and large: what the block is for. */
  strong?: boolean
  /** Told in the other unit too: what is dialled or measured. */
  both?: boolean
}

/** A figure under its own name. */
export const named = (figure: Figure): Labelled => ({ label: figure.name, figure })
