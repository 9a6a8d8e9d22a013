/** Has what a test file makes of the global object undone after it, for those that come after it in a group. */
exports.keepGlobals = () => {
  let before = {};
  beforeAll(() => {
    before = Object.getOwnPropertyDescriptors(globalThis);
  });
  afterAll(() => {
    for (const [name, now] of Object.entries(Object.getOwnPropertyDescriptors(globalThis))) {
      const was = before[name];
      if (!was) Reflect.deleteProperty(globalThis, name);
      else if (was.value !== now.value || was.get !== now.get) Reflect.defineProperty(globalThis, name, was);
    }
  });
};
