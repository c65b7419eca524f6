<?php

declare(strict_types=1);

namespace App\Actions\Competitors;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\RowStream;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Comparison\CompetitorFinder;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\UrlKey;
use GreaterReach\Core\Winning\AuthorityPeer;
use Illuminate\Support\Facades\DB;

/**
 * Proposes competitors: who shares most keywords with us or with one of our competitors, as a source knows, and who stands
 * on page one for the keywords that we have page one of. Each domain once, with where it was found.
 *
 * @phpstan-type Candidate array{domain: string, in_common: int, we_lack: int, they_lack: int, authority: ?float, peer: ?string,
 *     role: ?string, found: list<string>}
 * @phpstan-type Found array{domain: string, in_common: int, we_lack: int, they_lack: int, authority: ?float, found: list<string>}
 */
final readonly class FindCompetitors
{
    private const MOST = 100;

    public function __construct(private Sources $sources, private PublicSuffixList $suffixes)
    {
    }

    /**
     * @param list<string> $keywords only page one of these; empty takes all there are
     * @param bool         $further  ask for the competitors of our competitors, too
     *
     * @return list<Candidate> most keywords in common first
     *
     * @throws SourceProblem
     */
    public function execute(Study $study, ?string $source, bool $further, array $keywords): array
    {
        $found = DB::transaction(fn(): array => $this->onPageOne($study, $keywords));
        if ($source !== null && $keywords === []) {
            foreach ($further ? $study->comparedDomains() : \array_slice($study->comparedDomains(), 0, 1) as $domain) {
                $found = self::merge($found, $this->fromSource($study, $source, $domain));
            }
        }
        $own = $study->comparedDomains()[0];
        unset($found[$own->toEntry($this->suffixes)->registrableDomain]);
        $candidates = array_map(fn(array $candidate): array => $this->judged($study, $own, $candidate), array_values($found));
        usort(
            $candidates,
            static fn(array $one, array $other): int => $other['in_common'] <=> $one['in_common'] ?:
            $one['we_lack'] <=> $other['we_lack'] ?:
            strcmp($one['domain'], $other['domain']),
        );

        return \array_slice($candidates, 0, self::MOST);
    }

    /**
     * @param list<string> $keywords
     *
     * @return array<string, Found> domain → candidate
     */
    private function onPageOne(Study $study, array $keywords): array
    {
        $finder = new CompetitorFinder();
        foreach ($this->pagesOne($study, $keywords) as [, $urls, $weRank]) {
            $finder->add(
                array_values(array_unique(array_map($this->registrable(...), explode(' ', $urls)))),
                $keywords !== [] || $weRank,
            );
        }
        $found = [];
        foreach ($finder->candidates([], null, 0) as $candidate) {
            $found[$candidate['domain']] = [
                'domain' => $candidate['domain'],
                'in_common' => $candidate['in_common'],
                'we_lack' => $candidate['we_lack'],
                'they_lack' => $candidate['they_lack'],
                'authority' => null,
                'found' => ['page one'],
            ];
        }

        return $found;
    }

    /**
     * @param list<string> $keywords
     *
     * @return iterable<array{string, string, bool}> keyword, its URLs with blanks between them, whether we rank
     */
    private function pagesOne(Study $study, array $keywords): iterable
    {
        $chosen = $keywords === [] ? '' : ' AND r.keyword = ANY(?::text[])';
        $quoted = array_map(static fn(string $keyword): string => '"'.addcslashes($keyword, '"\\').'"', $keywords);
        $ranked =
            $study->comparison === null
                ? '(SELECT NULL::text AS keyword, NULL::int AS own_position) AS c'
                : $study->comparison->table()->from('c');

        /** @var iterable<array{string, string, bool}> */
        return RowStream::of(
            <<<SQL
                SELECT r.keyword, string_agg(DISTINCT r.url, ' '), bool_or(c.own_position IS NOT NULL)
                FROM live_results r LEFT JOIN {$ranked} ON c.keyword = r.keyword
                WHERE r.study_id = ?{$chosen} GROUP BY r.keyword
                SQL,
            [$study->id, ...$keywords === [] ? [] : ['{'.implode(',', $quoted).'}']],
        );
    }

    private function registrable(string $url): string
    {
        $host = UrlKey::hostOf($url);

        return $this->suffixes->registrableDomain($host) ?? $host;
    }

    /** @return array<string, Found> */
    private function fromSource(Study $study, string $source, Domain $domain): array
    {
        $found = [];
        $via = $domain->role === Domain::OWN ? $source : $source.', by '.$domain->entry;
        foreach ($this->sources->get($source)->competitors(SourceMarket::of($study), $domain->toEntry($this->suffixes)->host) as $row) {
            $found[$row['domain']] = [
                'domain' => $row['domain'],
                'in_common' => $row['common'],
                'we_lack' => $row['theirs'],
                'they_lack' => $row['ours'],
                'authority' => $row['authority'],
                'found' => [$via],
            ];
        }

        return $found;
    }

    /**
     * What a source says of ourselves counts before what was counted on page one, and that before what was found by a competitor.
     *
     * @param array<string, Found> $known
     * @param array<string, Found> $more
     *
     * @return array<string, Found>
     */
    private static function merge(array $known, array $more): array
    {
        foreach ($more as $domain => $candidate) {
            $before = $known[$domain] ?? null;
            if ($before === null) {
                $known[$domain] = $candidate;
                continue;
            }
            $isDirect = !str_contains($candidate['found'][0], ', by ') && $before['found'] === ['page one'];
            $known[$domain] = [
                ...$isDirect ? $candidate : $before,
                'authority' => $before['authority'] ?? $candidate['authority'],
                'found' => [...$before['found'], ...$candidate['found']],
            ];
        }

        return $known;
    }

    /**
     * @param Found $candidate
     *
     * @return Candidate
     */
    private function judged(Study $study, Domain $own, array $candidate): array
    {
        $known = $study->domains->first(
            fn(Domain $domain): bool => $domain->entry === $candidate['domain'] ||
                $domain->toEntry($this->suffixes)->registrableDomain === $candidate['domain'],
        );
        $authority = $known->authority ?? $candidate['authority'];

        return [
            ...$candidate,
            'authority' => $authority,
            'peer' => AuthorityPeer::of($authority, $own->authority, $study->rulebook()->float('peer_band'))?->value,
            'role' => $known?->role,
        ];
    }
}
