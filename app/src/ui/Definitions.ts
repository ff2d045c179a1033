import type { ComponentType, ReactNode } from 'react'
import { Defs } from 'react-native-svg'

/** Fills and clips of a drawing; the library's own type forgets that they have children. */
export const Definitions = Defs as unknown as ComponentType<{ children: ReactNode }>
