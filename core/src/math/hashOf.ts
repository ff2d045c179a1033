/** FNV-1a (Fowler, Noll, Vo), twice 32 bits with different beginnings, as 16 hexadecimal digits. It only tells texts apart; nothing is kept secret by it. */
export function hashOf(text: string): string {
  const half = (begin: number) => {
    let hash = begin
    for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
    return (hash >>> 0).toString(16).padStart(8, '0')
  }
  return half(0x811c9dc5) + half(0x2f0b4c47)
}
