export { RecordScreen as default } from '../../record/RecordScreen'
