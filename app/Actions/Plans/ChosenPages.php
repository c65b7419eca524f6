<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\UrlKey;
use GreaterReach\Core\Winning\LeadingPages;

/** The pages to beat that a person chose for a brief, an address a line. */
final class ChosenPages
{
    public const FIELD = 'pages_to_beat';
    public const MOST = 5;

    /** @return list<string> */
    public static function of(PlanItem $item): array
    {
        return self::lines($item->brief[self::FIELD] ?? '');
    }

    /**
     * @param array<array-key, string> $brief
     *
     * @throws UserError when a line is no URL or one of our pages, or there are too many
     */
    public static function check(Study $study, array $brief, PublicSuffixList $suffixes): void
    {
        $lines = self::lines($brief[self::FIELD] ?? '');
        foreach ($lines as $number => $line) {
            if (preg_match('~^https?://[^\s/]+\.[^\s]+$~iD', $line) !== 1) {
                throw self::refused(sprintf('Line %d: "%s" isn’t a URL. Write it as https://domain/page.', $number + 1, $line));
            }
            if (LeadingPages::of([UrlKey::of($line)], $study->ownDomain()->toEntry($suffixes)) === []) {
                throw self::refused(sprintf('Line %d: "%s" is our own page. Enter competitors’ pages.', $number + 1, $line));
            }
        }
        if (\count($lines) > self::MOST) {
            throw self::refused(sprintf('Enter at most %d pages, not %d.', self::MOST, \count($lines)));
        }
    }

    private static function refused(string $why): UserError
    {
        return UserError::because('brief.'.self::FIELD, $why);
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn(string $line): bool => $line !== ''));
    }
}
