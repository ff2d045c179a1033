export { RunningScreen as default } from '../../line/RunningScreen'
