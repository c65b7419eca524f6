@extends('document')
@section('title', 'Greater Reach')
@section('content')
<section class="sheet">
    <h1>Greater Reach</h1>
    <p>{{ $why }}</p>
</section>
@endsection
