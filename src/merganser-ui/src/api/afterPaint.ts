/** Resolves in the first task after the next frame: what a key wrote stands on the screen then. A page that is not shown draws none. */
export const afterPaint = () =>
  new Promise<void>((resolve) => {
    if (document.hidden) {
      resolve();
      return;
    }
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => {
        port1.close();
        resolve();
      };
      port2.postMessage(null);
    });
  });
