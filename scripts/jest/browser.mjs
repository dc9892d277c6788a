// What the bundler sets when it builds the application.
globalThis.__VUE_OPTIONS_API__ = true;
globalThis.__VUE_PROD_DEVTOOLS__ = false;
globalThis.__VUE_PROD_HYDRATION_MISMATCH_DETAILS__ = false;

// What Vuetify asks of a browser, and jsdom has not.
if (typeof window !== 'undefined') {
  globalThis.CSS ??= { supports: () => true, escape: (text) => text };
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  globalThis.visualViewport ??= new EventTarget();
  window.matchMedia ??= () => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  });
}
