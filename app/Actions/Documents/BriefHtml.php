<?php

declare(strict_types=1);

namespace App\Actions\Documents;

/** A brief as an HTML document that needs nothing beside it, and prints well. */
final class BriefHtml
{
    /** @param array<string, mixed> $brief as ReadBrief gives it */
    public static function html(array $brief, string $nonce): string
    {
        return view('brief', [
            'brief' => $brief,
            'facts' => BriefText::of($brief),
            'written' => BriefText::written($brief),
            'nonce' => $nonce,
        ])->render();
    }
}
