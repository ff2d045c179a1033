import { useWindowDimensions } from 'react-native'

const WIDE_PX = 900

/** Room for list and detail side by side. */
export const useIsWide = () => useWindowDimensions().width >= WIDE_PX
