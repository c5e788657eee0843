/** jsdom lays nothing out: what watches its size is told a width to draw on. */
export function sized(width: number) {
  return class {
    constructor(private readonly tell: ResizeObserverCallback) {}
    observe() {
      this.tell(
        [{ contentRect: { width, height: 100 } } as ResizeObserverEntry],
        this as unknown as ResizeObserver,
      );
    }
    disconnect() {
      return undefined;
    }
  };
}
