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
        <tr><th>Keyword</th><th class="n">Volume</th><th class="n">We</th></tr>
        @foreach ($brief['keywords'] as $keyword)
            <tr><td>{{ $keyword['keyword'] }}{{ $keyword['is_lead'] ? ' (lead)' : '' }}</td><td class="n">{{ $keyword['volume'] === null ? '·' : number_format($keyword['volume']) }}</td><td class="n">{{ $keyword['own_position'] ?? '·' }}</td></tr>
        @endforeach
    </table>
    @if ($brief['questions'] !== [])
        <h2>Questions to answer</h2>
        <ul>
            @foreach ($brief['questions'] as $question)
                <li>{{ $question }}</li>
            @endforeach
        </ul>
    @endif
    @foreach ($brief['rivals'] as $rival)
        <h2>Page to beat: {{ $rival['url'] }}</h2>
        <ul>
            @foreach ($rival['headings'] as $heading)
                <li>{{ $heading }}</li>
            @endforeach
        </ul>
    @endforeach
    @if ($prospects !== [])
        <h2>Link prospects</h2>
        <ul>
            @foreach ($prospects as $prospect)
                <li>{{ $prospect }}</li>
            @endforeach
        </ul>
    @endif
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
