// Loaded before Jest. Its coverage asks V8 to count every call, which keeps hot functions from being optimised (the
// unit tests took 491 s instead of 199); whether a block ran at all is what is printed, and costs next to nothing.
const { Session } = require('node:inspector');

const { post } = Session.prototype;
Session.prototype.post = function postWithoutCounts(method, params, ...rest) {
  const asked = method === 'Profiler.startPreciseCoverage' ? { ...params, callCount: false } : params;
  return post.call(this, method, asked, ...rest);
};
