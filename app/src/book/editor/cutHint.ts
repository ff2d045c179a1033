import type { Role } from 'core/book/dish'

/** A cut to take as an example, where the component is cut at all: oil and sauce are not. */
export function cutHintFor(role: Role): 'egg' | 'aromatic' | 'protein' | 'vegetable' | 'garnish' | null {
  switch (role) {
    case 'egg':
    case 'aromatic':
    case 'protein':
    case 'vegetable':
    case 'garnish':
      return role
    case 'rice':
    case 'paste':
    case 'drySeasoning':
    case 'liquidSeasoning':
    case 'fat':
    case 'finish':
      return null
  }
}
