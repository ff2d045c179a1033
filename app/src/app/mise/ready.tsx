import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['mise'], async () => (await import('../../screens')).ReadyScreen)
