import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['setup', 'mise'], async () => (await import('../../screens')).PrepScreen)
