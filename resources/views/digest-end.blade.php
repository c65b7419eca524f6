@extends('document')
@section('title', 'Greater Reach')
@section('content')
<section class="sheet">
    <h1>Greater Reach</h1>
    @if ($study === null)
        <p>You won’t get this digest any more.</p>
    @else
        <p>Stop the digest of “{{ $study }}”?</p>
        <form method="post" action="{{ $address }}"><button type="submit">Stop the digest</button></form>
    @endif
</section>
@endsection
