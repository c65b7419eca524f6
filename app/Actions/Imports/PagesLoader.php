<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Pages\PageTrouble;

/** Loads facts about our pages: title, heading, length, and whether search engines may index them. */
final class PagesLoader extends TableLoader
{
    protected static function table(): string
    {
        return 'pages';
    }

    protected static function noun(): string
    {
        return 'page';
    }

    public function columns(): array
    {
        return [
            'url', 'title', 'h1', 'words', 'status', 'is_indexable', 'published', 'updated', 'inlinks', 'referring_domains', 'day',
        ];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var array{url: string, title?: ?string, h1?: ?string, words?: ?int, status?: ?int, indexable?: ?bool, published?: ?string,
         *     updated?: ?string, inlinks?: ?int, referring_domains?: ?int} $values */
        $status = $values['status'] ?? null;
        if ($status !== null && ! PageTrouble::isStatus($status)) {
            return new BadCell($line, 'status', (string) $status, 'isn’t an HTTP status from 100 to 599.');
        }

        return [
            $values['url'], $values['title'] ?? null, $values['h1'] ?? null, $values['words'] ?? null, $status,
            $values['indexable'] ?? null, $values['published'] ?? null, $values['updated'] ?? null, $values['inlinks'] ?? null,
            $values['referring_domains'] ?? null, $this->order->day,
        ];
    }
}
