<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Plans\ReadBrief;

/**
 * A brief as an HTML document that needs nothing beside it, and prints well.
 *
 * @phpstan-import-type Brief from ReadBrief
 */
final class BriefHtml
{
    /** @param Brief $brief as ReadBrief gives it */
    public static function html(array $brief, string $nonce): string
    {
        return view('brief', [
            'brief' => $brief,
            'facts' => BriefText::of($brief),
            'written' => BriefText::written($brief),
            'prospects' => BriefText::prospects($brief),
            'nonce' => $nonce,
        ])->render();
    }
}
