<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Plans\BriefQuery;

/**
 * A brief as an HTML document that needs nothing beside it, and prints well.
 *
 * @phpstan-import-type Brief from BriefQuery
 * @phpstan-type Writer array{address: string, told: ?string, is_refused: bool, is_open: bool, status: string, url: string, note: string}
 */
final class BriefHtml
{
    /** @param Brief $brief as BriefQuery gives it */
    public static function html(array $brief, string $nonce): string
    {
        return self::render($brief, $nonce, null);
    }

    /**
     * With what a writer can tell of it.
     *
     * @param Brief  $brief
     * @param Writer $writer
     */
    public static function forWriter(array $brief, string $nonce, array $writer): string
    {
        return self::render($brief, $nonce, $writer);
    }

    /**
     * @param Brief   $brief
     * @param ?Writer $writer
     */
    private static function render(array $brief, string $nonce, ?array $writer): string
    {
        return view('brief', [
            'brief' => $brief,
            'facts' => BriefText::of($brief),
            'written' => BriefText::written($brief),
            'sections' => BriefText::sections($brief),
            'openings' => array_map(BriefText::opening(...), $brief['page_one']),
            'writer' => $writer,
            'nonce' => $nonce,
        ])->render();
    }
}
