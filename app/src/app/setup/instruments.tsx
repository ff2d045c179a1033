import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['setup'], async () => (await import('../../screens')).InstrumentsScreen)
