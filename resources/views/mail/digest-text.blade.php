{{ $study->name }}: rankings of {{ $day }} are in.
@foreach ($sections as $heading => $lines)

{{ $heading }}
@foreach ($lines as $line)
- {!! $line !!}
@endforeach
@endforeach

Open the study: {{ $address }}
Stop these mails: {!! $end !!}
