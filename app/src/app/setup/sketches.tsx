import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['setup', 'rice'], async () => (await import('../../screens')).SketchesScreen)
