/** The page that says how a phone comes to trust the shop's computer. */
export const trust = {
  'trust.title': 'Wembric on this phone',
  'trust.why':
    'This phone does not know your shop’s computer yet. Tell it once, in about a minute. After that, the line between them is secure, and Wembric goes on working when the connection drops.',
  'trust.only-house': 'What you install can vouch for computers of this house only, for nothing on the internet.',
  'trust.download': 'Download the certificate',
  'trust.checking': 'Not trusted yet. This line changes by itself as soon as it is.',
  'trust.works': 'It works: this phone trusts your shop’s computer.',
  'trust.open': 'Open Wembric',
  'trust.then': 'Then put it on the home screen',
  'trust.profile-name': 'Wembric, your shop’s computer',
  'trust.profile-about': 'Lets this device open Wembric on your shop’s own computer. It is good for this house only.',
  'trust.iphone': 'iPhone and iPad',
  'trust.iphone-1': 'Tap “Download the certificate” in Safari, then Allow.',
  'trust.iphone-2': 'Open Settings. Near the top, tap “Profile Downloaded”.',
  'trust.iphone-3': 'Tap Install at the top right, type the phone’s code, and tap Install again.',
  'trust.iphone-4':
    'In Settings, go to General, About, and at the very bottom “Certificate Trust Settings”. Turn on the one of Wembric.',
  'trust.iphone-home': 'In Safari, tap the square with the arrow, then “Add to Home Screen”.',
  'trust.android': 'Android',
  'trust.android-1': 'Tap “Download the certificate”.',
  'trust.android-2': 'Open Settings, tap the magnifying glass, and look for “CA certificate”.',
  'trust.android-3': 'Tap “CA certificate”, then “Install anyway”, and type the phone’s code.',
  'trust.android-4': 'Choose the file wembric.crt from your downloads.',
  'trust.android-home': 'In Chrome, tap the three dots, then “Install app” or “Add to Home screen”.',
  'trust.computer': 'A computer',
  'trust.computer-1': 'Click “Download the certificate”.',
  'trust.computer-2':
    'Open the file. On Windows: “Install Certificate”, then “Trusted Root Certification Authorities”. On a Mac: add it to the System keychain, open it there, and choose “Always Trust”.',
  'trust.computer-3': 'Firefox asks for it in its own settings, under Certificates.',
  'trust.computer-home': 'Most browsers offer to install it at the right end of the address line.',
}
