import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['rice'], async () => (await import('../../screens')).PastRiceScreen)
