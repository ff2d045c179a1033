export { MiseScreen as default } from '../../mise/doing/MiseScreen'
