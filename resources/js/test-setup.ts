import { afterAll, vi } from 'vitest';

// What the components ask of a browser and the stand-in lacks.
window.matchMedia = vi.fn(() => ({ matches: false, addEventListener: () => undefined })) as never;
window.ResizeObserver = class {
    observe(): void {
        // Nothing is ever resized here.
    }
    unobserve(): void {
        // Nothing is ever resized here.
    }
    disconnect(): void {
        // Nothing is ever resized here.
    }
};

// The next file of the process finds what it is about as it is.
afterAll(() => {
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
});
