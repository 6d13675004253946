<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <title>Rundfunk</title>
    <link rel="icon" type="image/svg+xml" href="/icon.svg">
    <script src="/theme.js"></script>
    @vite(['resources/css/app.css', 'resources/js/main.ts'])
</head>
<body>
    <div id="app"></div>
    <noscript>Rundfunk needs JavaScript.</noscript>
</body>
</html>
