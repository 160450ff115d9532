export {
  addAttachment,
  attachmentAnswer,
  dropAttachment,
  mailHtml,
  mailPicture,
  openAttachment,
  openPreview,
} from './attachments.ts'
export { keepFile, type KeptFile } from './keepFile.ts'
export { openPicture } from './pictures.ts'
export { removeUnusedFiles } from './removeUnusedFiles.ts'
