<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="csp-nonce" property="csp-nonce" nonce="{{ Vite::cspNonce() }}" content="{{ Vite::cspNonce() }}">
    <meta name="bench" content="{{ config('linguator.mark') }}">
    <meta name="theme-color" content="#174650">
    <meta name="keeps" content="{{ config('linguator.club') || Vite::isRunningHot() ? 'no' : 'yes' }}">
    <link rel="manifest" href="/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <title>Linguator</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite($scripts)
</head>
<body>
    <div id="app"></div>
    <noscript>Linguator needs JavaScript, which ships with it and runs only here.</noscript>
</body>
</html>
