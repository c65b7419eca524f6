<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ $study->name }}: rankings of {{ $day }} are in</title></head>
<body style="font-family: sans-serif; color: #12302d; line-height: 1.5; max-width: 40em">
<h1 style="font-size: 1.3em">{{ $study->name }}: rankings of {{ $day }} are in</h1>
@foreach ($sections as $heading => $lines)
<h2 style="font-size: 1.05em">{{ $heading }}</h2>
<ul>
@foreach ($lines as $line)
<li>{{ $line }}</li>
@endforeach
</ul>
@endforeach
<p><a href="{{ $address }}">Open the study</a></p>
<p style="font-size: .85em"><a href="{{ $end }}">Stop these mails</a></p>
</body>
</html>
