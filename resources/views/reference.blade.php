@extends('document')
@section('title', 'Greater Reach: the API')
@section('content')
<main class="sheet">
    <h1>The API</h1>
    <p>{{ $reference->about() }} All paths begin with <code>/api/v1</code>; the document itself is <a href="/api/v1/openapi.json">openapi.json</a> (OpenAPI 3.1).
        Scripts send a token of their person as <code>Authorization: Bearer …</code>. Refusals have a <a href="#shape-Problem">code</a>.</p>
    <nav aria-label="What it is about">
        <p>@foreach (array_keys($reference->operations()) as $topic)<a href="#about-{{ $topic }}">{{ $topic }}</a>@if (! $loop->last), @endif @endforeach</p>
    </nav>
    @foreach ($reference->operations() as $topic => $operations)
        <h2 id="about-{{ $topic }}">{{ $topic }}</h2>
        @foreach ($operations as $operation)
            <details>
                <summary><code>{{ $operation['method'] }} {{ $operation['path'] }}</code> <span class="muted">{{ $operation['summary'] }}</span></summary>
                @include('reference-fields', ['heading' => 'Takes', 'fields' => $operation['takes']])
                @include('reference-fields', ['heading' => 'Is sent', 'fields' => $operation['gives']])
                @include('reference-fields', ['heading' => 'Answers', 'fields' => $operation['answers']])
            </details>
        @endforeach
    @endforeach
    <h2>Shapes</h2>
    @foreach ($reference->shapes() as $name => $fields)
        <details id="shape-{{ $name }}">
            <summary><code>{{ $name }}</code></summary>
            @include('reference-fields', ['heading' => $name, 'fields' => $fields])
        </details>
    @endforeach
</main>
@endsection
