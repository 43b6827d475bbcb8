export { type Idea, IDEA_NAMES, type IdeaName } from './idea.ts'
export { ideasOfFinding, ideasOfStation } from './ideas-of.ts'
