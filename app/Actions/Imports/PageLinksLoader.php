<?php

declare(strict_types=1);

namespace App\Actions\Imports;

/** Which of our pages links to which. */
final class PageLinksLoader extends TableLoader
{
    protected static function table(): string
    {
        return 'page_links';
    }

    protected static function noun(): string
    {
        return 'link between pages';
    }

    public function columns(): array
    {
        return ['source_url', 'target_url', 'anchor', 'day'];
    }

    public function stage(int $line, array $values): ?array
    {
        /** @var array{source_url: string, target_url: string, anchor?: ?string} $values */
        return $values['source_url'] === $values['target_url']
            ? null
            : [$values['source_url'], $values['target_url'], $values['anchor'] ?? null, $this->order->day];
    }
}
