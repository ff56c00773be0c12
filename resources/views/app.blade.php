<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="csp-nonce" property="csp-nonce" nonce="{{ Vite::cspNonce() }}" content="{{ Vite::cspNonce() }}">
    <meta name="bench" content="{{ config('linguator.mark') }}">
    <title>Linguator</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite($scripts)
</head>
<body>
    <div id="app"></div>
    <noscript>Linguator needs JavaScript, which ships with it and runs only here.</noscript>
</body>
</html>
