export { estimate, isExact, type MacroEstimate, type Span, stepCount } from './estimate.ts';
