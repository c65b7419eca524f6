<!doctype html>
<html lang="en" @unless(app()->isProduction()) data-stage="development" @endunless>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>Greater Reach</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite('resources/js/app/main.tsx')
</head>
<body>
    <div id="workbench"></div>
    <noscript>Greater Reach needs JavaScript to be switched on.</noscript>
</body>
</html>
