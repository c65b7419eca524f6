<?php

declare(strict_types=1);

namespace App\Actions\Site;

use App\Models\Study;
use GreaterReach\Core\Pages\PageTrouble;
use Illuminate\Support\Facades\DB;

/**
 * Our pages by the newest import that has each: what they say, and whether a search engine may show them.
 *
 * @phpstan-type SitePage array{url: string, title: ?string, h1: ?string, words: ?int, status: ?int, is_indexable: ?bool,
 *     published: ?string, updated: ?string, inlinks: ?int, referring_domains: ?int, day: string}
 * @phpstan-type TroubledPage array{url: string, trouble: string, sentence: string}
 */
final class SitePagesQuery
{
    private const NEWEST = <<<'SQL'
        SELECT DISTINCT ON (url) url, title, h1, words, status, is_indexable, published, updated, inlinks, referring_domains, day
        FROM live_pages WHERE study_id = ?
        SQL;
    private const ORDER = ' ORDER BY url, day DESC, import_id DESC';

    /** @return ?SitePage null where no import has it */
    public function at(Study $study, string $url): ?array
    {
        /** @var object|null $row */
        $row = DB::selectOne(self::NEWEST.' AND url = ?'.self::ORDER, [$study->id, $url]);
        /** @var ?SitePage $page */
        $page = $row === null ? null : (array) $row;

        return $page;
    }

    /** @return list<TroubledPage> those that search engines do not show, by address */
    public function troubled(Study $study): array
    {
        /** @var list<object{url: string, status: ?int, is_indexable: ?bool}> $rows */
        $rows = DB::select(
            'SELECT * FROM ('.self::NEWEST.self::ORDER.') newest WHERE status >= 300 OR NOT is_indexable ORDER BY url',
            [$study->id],
        );
        $pages = array_map(static function (object $row): ?array {
            $trouble = PageTrouble::of($row->status, $row->is_indexable);

            return $trouble === null ? null : ['url' => $row->url, 'trouble' => $trouble->value, 'sentence' => $trouble->sentence()];
        }, $rows);

        return array_values(array_filter($pages));
    }

    /** @return list<string> our pages that link to this one, by the newest page_links import */
    public function linkingTo(Study $study, string $url): array
    {
        /** @var list<object{source_url: string}> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT DISTINCT source_url FROM page_links WHERE study_id = ? AND target_url = ? AND import_id = (
                SELECT max(id) FROM imports WHERE study_id = ? AND kind = 'page_links' AND superseded_by IS NULL
            )
            SQL, [$study->id, $url, $study->id]);

        return array_column($rows, 'source_url');
    }
}
