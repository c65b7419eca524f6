@extends('document')
@php
    $number = static fn (int|float|null $value): string => $value === null ? '·' : number_format((float) $value);
    $counted = static fn (int $count, string $one): string => $number($count).' '.$one.($count === 1 ? '' : 's');
    $percent = static fn (?float $value): string => $value === null ? '·' : round(100 * $value).'%';
    $day = static fn (string $day): string => date('j M Y', (int) strtotime($day));
    $place = static fn (?int $value): string => $value === null ? 'absent' : (string) $value;
    $dashes = ['', '7 3', '2 3', '8 2 2 2', '4 4', '1 2', '10 4', '3 1', '6 1', '1 4', '9 1 1 1'];
    $first = $track['shares'][0] ?? null;
    $last = $track['shares'] === [] ? null : $track['shares'][count($track['shares']) - 1];
@endphp
@section('title', $study->name.': the month in review')
@section('content')
<section class="sheet">
    <h1>{{ $study->name }}: the month in review</h1>
    <p class="muted">{{ $comparison->domains[0]['entry'] }} against {{ implode(', ', $comparison->competitors()) }}. Rankings of {{ $track['newest'] === null ? 'no day yet' : $day($track['newest']) }}.</p>
    @if ($findings !== [])
        <h2>Findings</h2>
        <ol>
            @foreach ($findings as $finding)
                <li>{{ $finding->words }}</li>
            @endforeach
        </ol>
    @endif
    <h2>Share of clicks</h2>
    @if ($first === null || $first === $last)
        <p>There is only one day of rankings so far.</p>
    @else
        <svg viewBox="0 0 {{ $width }} {{ $height }}" role="img" aria-label="Share of clicks by day">
            <line x1="0" y1="{{ $height }}" x2="{{ $width }}" y2="{{ $height }}" stroke="#b9b7a4" />
            @foreach ($lines as $domain => $path)
                <path d="{{ $path }}" fill="none" stroke="#12302d" stroke-width="{{ $domain === 0 ? 3 : 1.2 }}" stroke-dasharray="{{ $dashes[$domain] ?? '' }}" />
            @endforeach
        </svg>
        <table>
            <tr><th></th><th>Domain</th><th class="n">{{ $first['day'] }}</th><th class="n">{{ $last['day'] }}</th></tr>
            @foreach ($comparison->domains as $index => $domain)
                <tr>
                    <td><svg viewBox="0 0 40 6" width="40" height="6" aria-hidden="true"><line x1="0" y1="3" x2="40" y2="3" stroke="#12302d" stroke-width="{{ $index === 0 ? 3 : 1.2 }}" stroke-dasharray="{{ $dashes[$index] ?? '' }}" /></svg></td>
                    <td>{{ $domain['entry'] }}</td><td class="n">{{ $percent($first['shares'][$index] ?? null) }}</td><td class="n">{{ $percent($last['shares'][$index] ?? null) }}</td>
                </tr>
            @endforeach
        </table>
    @endif
    @if ($since !== null)
        <h2>Since {{ $day($since['from']) }}</h2>
        <p>We climbed on {{ $counted($since['moved']['climbed'] ?? 0, 'keyword') }}, dropped on {{ $number($since['moved']['slipped'] ?? 0) }}, entered on {{ $number($since['moved']['entered'] ?? 0) }} and left on {{ $number($since['moved']['left'] ?? 0) }}.
            {{ $counted($since['opened']['keywords'], 'gap') }} opened and {{ $number($since['closed']['keywords']) }} closed. {{ $counted($since['undecided'], 'new gap') }} to decide on.</p>
        <div class="pair">
            @foreach (['Gaps opened' => $since['opened']['first'], 'Gaps closed' => $since['closed']['first']] as $heading => $gaps)
                <table>
                    <tr><th>{{ $heading }}</th><th class="n">Volume</th><th class="n">We</th><th class="n">Best</th></tr>
                    @forelse ($gaps as $gap)
                        <tr><td>{{ $gap['keyword'] }}</td><td class="n">{{ $number($gap['volume']) }}</td><td class="n">{{ $place($gap['own_position']) }}</td><td class="n">{{ $place($gap['best_position']) }}</td></tr>
                    @empty
                        <tr><td colspan="4">None.</td></tr>
                    @endforelse
                </table>
            @endforeach
        </div>
    @endif
</section>
<section class="sheet">
    <h2>Forecast vs actual</h2>
    @if ($items === [])
        <p>Nothing on the roadmap is done yet.</p>
    @else
        @foreach ($track['calibration'] as $kind)
            <p>{{ $counted($kind['items'], ['new' => 'new page', 'existing' => 'existing page', 'title' => 'title test'][$kind['kind']]) }} after their full ramp: @if ($kind['kind'] !== 'title'){{ $kind['reached'] }} reached the target, {{ $number($kind['said']) }} were expected; @endif{{ $number($kind['net']) }} net visits a month against {{ $number($kind['expected']) }} expected; {{ $kind['inside'] }} of {{ $kind['items'] }} inside the forecast range.</p>
        @endforeach
        <table>
            <tr><th>Item</th><th>Done</th><th class="n">Position</th><th class="n">Net visits</th><th class="n">Forecast, 10 to 90</th><th>Outcome</th></tr>
            @foreach ($items as $item)
                <tr><td>{{ $item['name'] }}<br><span class="muted">{{ $item['tactic'] }}</span></td><td>{{ $item['done_month'] }}</td><td class="n">{{ $place($item['position_then']) }} → {{ $place($item['position_now']) }}</td><td class="n">{{ $number($item['net']) }}</td><td class="n">{{ $number($item['p10']) }} to {{ $number($item['p90']) }}</td><td>{{ $item['outcome'] ?? 'no rankings yet' }}@if ($item['is_reached'] !== null), target {{ $item['is_reached'] ? 'reached' : 'not reached' }}@endif</td></tr>
            @endforeach
        </table>
    @endif
    <h2>Next items</h2>
    @if ($ahead === [])
        <p>The roadmap is empty.</p>
    @else
        <table>
            <tr><th>Month</th><th>Item</th><th>Tactic</th><th>Owner</th><th>Status</th><th class="n">Days</th></tr>
            @foreach ($ahead as $item)
                <tr><td>{{ $item['month'] }}</td><td>{{ $item['name'] }}</td><td>{{ $item['tactic'] }}</td><td>{{ $item['owner'] }}</td><td>{{ $item['status'] }}</td><td class="n">{{ $item['effort_days'] }}</td></tr>
            @endforeach
        </table>
        <h2>Forecast</h2>
        <table>
            <tr><th>Visits a month</th>@foreach ($forecast as $month)<th class="n">{{ $month['month'] }}</th>@endforeach</tr>
            @foreach (['p10' => '10th percentile', 'p50' => 'median', 'p90' => '90th percentile'] as $key => $name)
                <tr><td>{{ $name }}</td>@foreach ($forecast as $month)<td class="n">{{ $number($month[$key]) }}</td>@endforeach</tr>
            @endforeach
        </table>
        <p class="muted">The effect of work is shared by all new pages and by all existing pages. Otherwise, pages move independently.</p>
    @endif
</section>
@endsection
