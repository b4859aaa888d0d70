/**
 * Nodes that can be reached from each other, as groups (Tarjan 1972, without recursion). `follow`: to which nodes each leads.
 */
export function stronglyConnected(follow: readonly (readonly number[])[]): number[][] {
  const size = follow.length
  const index = new Int32Array(size).fill(-1)
  const low = new Int32Array(size)
  const next = new Int32Array(size)
  const onStack = new Uint8Array(size)
  const stack: number[] = []
  const components: number[][] = []
  let count = 0
  for (let root = 0; root < size; root++) {
    if ((index[root] ?? 0) >= 0) continue
    const path = [root]
    while (path.length > 0) {
      const node = path[path.length - 1] as number
      if ((index[node] ?? 0) < 0) {
        index[node] = count
        low[node] = count++
        stack.push(node)
        onStack[node] = 1
      }
      const to = follow[node]?.[next[node] ?? 0]
      if (to !== undefined) {
        next[node] = (next[node] ?? 0) + 1
        if ((index[to] ?? 0) < 0) path.push(to)
        else if (onStack[to] === 1) low[node] = Math.min(low[node] ?? 0, index[to] ?? 0)
        continue
      }
      path.pop()
      const parent = path[path.length - 1]
      if (parent !== undefined) low[parent] = Math.min(low[parent] ?? 0, low[node] ?? 0)
      if (low[node] !== index[node]) continue
      const component: number[] = []
      for (let other = -1; other !== node; ) {
        other = stack.pop() as number
        onStack[other] = 0
        component.push(other)
      }
      components.push(component)
    }
  }
  return components
}
