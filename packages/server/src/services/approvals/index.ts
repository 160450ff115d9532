export { askApproval, decideApproval, takeBackApproval } from './approvals.ts'
