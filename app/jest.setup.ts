import 'react-native-css-interop/dist/runtime/components'
import { cleanup, configure } from '@testing-library/react'

afterEach(cleanup)
// Other work of the machine may starve a test for seconds: what comes late has come.
configure({ asyncUtilTimeout: 20_000 })

Object.defineProperty(window, 'matchMedia', {
  value: (query: string) =>
    ({
      matches: false,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }) as unknown as MediaQueryList,
})
