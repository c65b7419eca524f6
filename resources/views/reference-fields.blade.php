@if ($fields !== [])
    <table>
        <tr><th>{{ $heading }}</th><th>Type</th><th>Meaning</th></tr>
        @foreach ($fields as $field)
            <tr>
                <td><code>{{ $field['name'] }}</code>{{ $field['required'] ? '' : ' (may be left out)' }}</td>
                <td>@if ($field['to'] !== null)<a href="#shape-{{ $field['to'] }}">{{ $field['type'] }}</a>@else{{ $field['type'] }}@endif</td>
                <td>{{ $field['says'] }}</td>
            </tr>
        @endforeach
    </table>
@endif
