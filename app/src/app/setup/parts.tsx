export { PartsScreen as default } from '../../setup/PartsScreen'
