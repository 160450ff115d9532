export { draftImport, dropImport, importState, listImports, startImport } from './imports.ts'
export { runImport } from './runImport.ts'
