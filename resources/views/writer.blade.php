<section class="sheet writer">
    @if ($writer['told'] !== null)
        <p role="status"><strong>{{ $writer['told'] }}</strong></p>
    @endif
    @if ($writer['is_open'])
        <form method="post" action="{{ $writer['address'] }}">
            @csrf
            <h2>Status of “{{ $brief['item']['name'] }}”</h2>
            <p>
                <label><input type="radio" name="status" value="writing" @checked($writer['status'] !== 'published')> I am writing it</label>
                <label><input type="radio" name="status" value="published" @checked($writer['status'] === 'published')> It is published</label>
            </p>
            <p><label>URL of the page<br><input name="url" value="{{ $writer['url'] }}" maxlength="2000" placeholder="https://"></label></p>
            <p><label>Note<br><textarea name="note" rows="4" maxlength="5000">{{ $writer['note'] }}</textarea></label></p>
            <p><button type="submit">Send</button></p>
        </form>
    @else
        <p>This work is {{ $writer['status'] }}, so this form is closed.</p>
    @endif
</section>
