/** Reading and writing a document by dotted path: "part.thread". */
type Tree = Record<string, unknown>

export function readField(document: object, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Tree | undefined)?.[key], document)
}

export function writeField(document: object, path: string, value: unknown): void {
  const keys = path.split('.')
  const last = keys.pop() as string
  const parent = keys.reduce<Tree>((at, key) => at[key] as Tree, document as Tree)
  parent[last] = value
}
