<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    {{-- So that its own form is known as no foreign page's. --}}
    <meta name="referrer" content="same-origin">
    <title>Sign in · Linguator</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <style nonce="{{ Vite::cspNonce() }}">
        :root { --ground: #f6f1e6; --card: #fffdf8; --ink: #17292d; --line: #8f9a92; --petrol: #174650; --on: #fffdf8; --stop: #a4231b; }
        @media (prefers-color-scheme: dark) { :root { --ground: #0e2a31; --card: #12343c; --ink: #f1eadb; --line: #5d7f86; --petrol: #a9d0d4; --on: #0e2a31; --stop: #ff9c8f; } }
        body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: var(--ground); color: var(--ink); font: 400 17px/1.5 system-ui, sans-serif; }
        main { width: min(26rem, 92vw); }
        h1 { font-size: 1.5rem; margin: 0 0 .3rem; }
        label { display: block; font-weight: 600; margin-top: 1rem; }
        input { width: 100%; box-sizing: border-box; min-height: 48px; font: inherit; color: inherit; background: var(--card); border: 1.5px solid var(--line); border-radius: 5px; padding: .4rem .7rem; }
        button { width: 100%; min-height: 48px; margin-top: .9rem; font: inherit; font-weight: 600; border: 0; border-radius: 5px; background: var(--petrol); color: var(--on); cursor: pointer; }
        :focus-visible { outline: 2px solid #d98a00; outline-offset: 2px; }
        .problem { color: var(--stop); min-height: 1.5rem; }
    </style>
</head>
<body>
    <main>
        <h1>Linguator</h1>
        <p>This bench is open to your club's network. Its passphrase was set by whoever started it.</p>
        <form method="post" action="/sign-in">
            <input type="hidden" name="to" value="{{ $to }}">
            <label for="passphrase">Passphrase</label>
            <input id="passphrase" name="passphrase" type="password" autocomplete="current-password" required autofocus maxlength="72" aria-describedby="problem">
            <p id="problem" class="problem" role="alert">{{ $problem }}</p>
            <button type="submit">Sign in</button>
        </form>
    </main>
</body>
</html>
