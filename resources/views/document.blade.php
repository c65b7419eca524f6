<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>@yield('title')</title>
    <style nonce="{{ $nonce }}">
        @page { size: A4; margin: 13mm 14mm; }
        body { font: 10.5pt/1.45 "Atkinson Hyperlegible Next", Verdana, sans-serif; color: #12302d; background: #f8f5ed; margin: 0; }
        .sheet { max-width: 180mm; margin: 0 auto; padding: 12mm 8mm; break-after: page; }
        .sheet:last-child { break-after: auto; }
        h1, h2 { font-family: Fraunces, Georgia, serif; line-height: 1.15; margin: 0 0 2mm; }
        h1 { font-size: 20pt; } h2 { font-size: 13pt; margin-top: 6mm; }
        p { margin: 0 0 2mm; }
        table { border-collapse: collapse; width: 100%; font-size: 9pt; }
        th, td { text-align: left; padding: 1mm 2mm 1mm 0; border-bottom: .3pt solid #b9b7a4; vertical-align: top; }
        th { font-weight: 600; } .n { text-align: right; font-variant-numeric: tabular-nums; white-space: nowrap; }
        a { color: #1c6b5e; } .muted { color: #4d615e; } .pair { display: grid; grid-template-columns: 1fr 1fr; gap: 8mm; }
        svg { width: 100%; height: auto; overflow: visible; } tr { break-inside: avoid; }
        dl { display: grid; grid-template-columns: 45mm 1fr; margin: 0; } dd { margin: 0; }
        .writer { padding-bottom: 0; } label { margin-right: 6mm; } button { font: inherit; padding: 1.5mm 5mm; cursor: pointer; }
        .writer input:not([type=radio]), textarea { font: inherit; width: 100%; box-sizing: border-box; padding: 1mm 2mm; }
        button { color: #fff; background: #1c6b5e; border: 0; border-radius: 2px; }
        :focus-visible { outline: 2px solid #1c6b5e; outline-offset: 2px; }
        @media print { .writer { display: none; } body { background: none; font-size: 9.5pt; } table { font-size: 8.5pt; } .sheet { padding: 0; max-width: none; } }
    </style>
</head>
<body>
@yield('content')
</body>
</html>
