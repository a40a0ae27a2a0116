// The browser as tests, bench and pictures start it.
import { CHROMIUM } from './prepare.mjs';

/**
 * Parts of the browser that stay off. The first list is what the browser tests' package turns off itself: the browser
 * heeds only the last list it is given. The second is the address bar's menu, two pages of the browser's own that every
 * new profile would read and run before the application's.
 */
const OFF = [
  ...[
    'AvoidUnnecessaryBeforeUnloadCheckSync',
    'DestroyProfileOnBrowserClose',
    'HttpsUpgrades',
    'HttpsFirstBalancedModeAutoEnable',
    'LensOverlay',
    'MediaRouter',
    'PaintHolding',
    'ThirdPartyStoragePartitioning',
    'AvoidCorsURLLoaderRestartOnRedirect',
    'OptimizationHints',
    'NetworkTimeServiceQuerying',
    'AimEnabled',
    'PreconnectToSearch',
  ],
  ...['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup'],
];

export const BROWSER = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    `--disable-features=${OFF.join(',')}`,
  ],
};
