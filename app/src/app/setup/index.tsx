export { SetupScreen as default } from '../../setup/SetupScreen'
