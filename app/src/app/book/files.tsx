export { FilesScreen as default } from '../../book/files/FilesScreen'
