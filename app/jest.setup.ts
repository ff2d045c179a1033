import 'react-native-css-interop/dist/runtime/components'
import { cleanup } from '@testing-library/react'

afterEach(cleanup)

Object.defineProperty(window, 'matchMedia', {
  value: (query: string) =>
    ({
      matches: false,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }) as unknown as MediaQueryList,
})
