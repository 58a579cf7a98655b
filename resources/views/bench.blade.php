<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    @if ($me !== null)<meta name="me" content="{{ json_encode($me, JSON_THROW_ON_ERROR) }}">@endif

    <title>Tall Crow</title>
    <link rel="icon" href="/crow.svg" type="image/svg+xml">
    @vite('resources/ts/main.ts')
</head>
<body>
    <noscript>Tall Crow needs JavaScript, which this browser has switched off.</noscript>
    <div id="app"></div>
</body>
</html>
