// How long the frames of a page take, drawing included: whatever was asked of it is waited for at their ends.
(() => {
  let drew = new Set();
  const get = HTMLCanvasElement.prototype.getContext;
  const known = new Set();
  HTMLCanvasElement.prototype.getContext = function (kind, ...more) {
    const context = get.call(this, kind, ...more);
    if (context && kind.startsWith("webgl") && !known.has(context)) {
      known.add(context);
      for (const name of ["drawElements", "drawArrays", "drawElementsInstanced", "drawArraysInstanced"]) {
        const draw = context[name].bind(context);
        context[name] = (...all) => {
          drew.add(context);
          return draw(...all);
        };
      }
    }
    return context;
  };
  window.frames_ = [];
  const soon = window.requestAnimationFrame.bind(window);
  const dot = new Uint8Array(4);
  window.requestAnimationFrame = (call) =>
    soon((at) => {
      drew = new Set();
      const from = performance.now();
      call(at);
      if (drew.size === 0) return;
      let large = null;
      for (const c of drew) {
        if (!large || c.canvas.clientWidth > large.canvas.clientWidth) large = c;
        c.bindFramebuffer(c.FRAMEBUFFER, null);
        c.readPixels(0, 0, 1, 1, c.RGBA, c.UNSIGNED_BYTE, dot);
      }
      const now = performance.now();
      if (large.canvas.clientWidth > 600) window.frames_.push({ ms: now - from, at: now });
    });
})();
