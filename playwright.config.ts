import { defineConfig } from '@playwright/test';

// ./test starts the server and says on which port.
export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'var/browser',
    reporter: [['list']],
    workers: 2,
    fullyParallel: true,
    // The longest take half of this on two cores.
    timeout: 120_000,
    expect: { timeout: 10_000 },
    use: {
        baseURL: `http://127.0.0.1:${process.env['BROWSER_PORT'] ?? '8000'}`,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        // Without what the page looked like at every key: taking that down is half of a test by keyboard. What failed is shown once.
        trace: { mode: 'retain-on-failure', snapshots: false, screenshots: false },
        screenshot: 'only-on-failure',
        launchOptions: {
            // Debian's Chromium without its windows: a fifth quicker.
            executablePath: '/usr/bin/chromium-headless-shell',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
                '--disable-dev-shm-usage',
            ],
        },
    },
});
