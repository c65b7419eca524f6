@extends('document')
@section('title', 'Brief: '.$brief['item']['name'])
@section('content')
@includeWhen($writer !== null, 'writer')
<section class="sheet">
    <h1>{{ $brief['item']['name'] }}</h1>
    <dl>
        @foreach ($facts as $name => $value)
            <dt class="muted">{{ $name }}</dt><dd>{{ $value }}</dd>
        @endforeach
    </dl>
    @foreach ($written as $heading => $text)
        <h2>{{ $heading }}</h2>
        @foreach (explode("\n", $text) as $paragraph)
            <p>{{ $paragraph }}</p>
        @endforeach
    @endforeach
    <h2>Keywords</h2>
    <p>Most visits from: <strong>{{ $brief['traffic_leader'] }}</strong></p>
    <table>
        <tr><th>Keyword</th><th class="n">Volume</th><th class="n">We</th><th>Our page for it</th></tr>
        @foreach ($brief['keywords'] as $keyword)
            <tr><td>{{ $keyword['keyword'] }}{{ $keyword['is_lead'] ? ' (lead)' : '' }}</td><td class="n">{{ $keyword['volume'] === null ? '·' : number_format($keyword['volume']) }}</td><td class="n">{{ $keyword['own_position'] ?? '·' }}</td><td>{{ $keyword['own_url'] ?? '·' }}</td></tr>
        @endforeach
    </table>
    @foreach ($sections as $heading => $lines)
        <h2>{{ $heading }}</h2>
        <ul>
            @foreach ($lines as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
    @endforeach
    @if ($brief['page_one'] !== [])
        <h2>Page one</h2>
        <table>
            <tr><th class="n">Position</th><th>Page</th><th class="n">Strength</th><th class="n">Referring domains</th><th>Opening</th></tr>
            @foreach ($brief['page_one'] as $place => $result)
                <tr><td class="n">{{ $result['position'] }}</td><td>{{ $result['url'] }}</td><td class="n">{{ $result['page_strength'] ?? '·' }}</td><td class="n">{{ $result['referring_domains'] ?? '·' }}</td><td>{{ $openings[$place] }}</td></tr>
            @endforeach
        </table>
    @endif
</section>
@endsection
