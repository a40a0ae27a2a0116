// The browser as tests, bench and pictures start it.
import { CHROMIUM } from './prepare.mjs';

/** What the browser tests' package turns off itself: the browser heeds only the last such list, so ours has it too. */
const OFF_FOR_TESTS = [
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
];
/** The address bar's menu: two pages of the browser's own that every new profile would read and run before ours. */
const MENU_OF_ADDRESS_BAR = ['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup'];

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
    `--disable-features=${[...OFF_FOR_TESTS, ...MENU_OF_ADDRESS_BAR].join(',')}`,
  ],
};
