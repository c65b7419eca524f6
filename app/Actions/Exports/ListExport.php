<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Bench\BenchQuery;
use App\Actions\Bench\OpportunitiesQuery;
use App\Actions\Bench\RankedList;
use App\Actions\Bench\TopicsQuery;
use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use App\Support\Rows\LongList;
use App\Support\Rows\RankedTopics;
use App\Support\Tabular\Table;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\FitGate;

/**
 * One of the three long lists with its columns as they stand on the screen, in its order, and with decisions in this study where that is
 * wanted. It is read in blocks, so that its length does not matter.
 *
 * @phpstan-type Row array<string, mixed>
 * @phpstan-type RowCell \Closure(Row): mixed
 */
final readonly class ListExport
{
    private const BLOCK = 5000;

    /** Columns beside those of the catalogue. */
    private const OF_KEYWORDS = ['mark', 'reason', 'note', 'tags', 'fit', 'stage', 'pinned', 'visits_share', 'target'];
    private const OF_WEIGHED = ['rank', 'priority'];
    private const OF_PAGES = ['rank', 'lead', 'shortlisted', 'pinned', 'cpc', 'priority'];

    /** What stands for more columns than one, or is no column of the table. */
    private const LANE = 'lane';
    private const STAGE = 'stage';
    private const ADDRESSES = 'addresses';

    public function __construct(
        private BenchQuery $bench,
        private OpportunitiesQuery $opportunities,
        private TopicsQuery $topics,
        private PageUrlsQuery $addresses,
    ) {
    }

    /** @throws UserError when a column or the order is none of the list */
    public function table(Comparison $comparison, ListView $shown, FitGate $gate): Table
    {
        $cells = [];
        foreach (array_values(array_unique($shown->columns)) as $name) {
            $cells += $this->cells($comparison, $shown->list, $name);
        }
        if ($cells === []) {
            throw UserError::because('columns', 'Name at least one column.');
        }
        $blocks = $this->blocks($comparison, $shown, $gate);
        // The first block is read at once, so that a wrong order is told before the file begins.
        $blocks->valid();

        return new Table(
            array_map(strval(...), array_keys($cells)),
            self::rows($blocks, array_values($cells)),
        );
    }

    /**
     * @param list<Row> $rows
     *
     * @return list<Row>
     */
    private function withAddresses(Comparison $comparison, ListView $shown, array $rows): array
    {
        return \in_array(self::ADDRESSES, $shown->columns, true)
            ? $this->addresses->beside($comparison, $rows, $shown->list === LongList::Pages ? 'lead' : 'keyword')
            : $rows;
    }

    /**
     * @return array<string, RowCell> heading → what stands in a row
     *
     * @throws UserError
     */
    private function cells(Comparison $comparison, LongList $list, string $name): array
    {
        $domains = array_column($comparison->domains, 'entry');
        if ($name === self::ADDRESSES) {
            return self::ofDomains(
                $domains,
                'url of ',
                static fn(array $row, int $place): mixed => self::places($row[self::ADDRESSES] ?? [])[$place] ?? null,
            );
        }
        if ($name === self::STAGE && $list === LongList::Pages) {
            return [$name => static fn(array $row): ?string => Intent::tryFrom((string) Figures::text($row['intent'] ?? ''))?->stage()];
        }
        if ($list === LongList::Pages) {
            return [$key = self::columnOfPages($name) => static fn(array $row): mixed => $row[$key]];
        }
        if ($name === self::LANE) {
            return self::ofDomains($domains, '', static fn(array $row, int $place): mixed => self::places($row['positions'])[$place]);
        }
        if (preg_match('/^p([1-9]\d?)$/D', $name, $part) === 1 && isset($domains[(int) $part[1]])) {
            $place = (int) $part[1];

            return [$domains[$place] => static fn(array $row): mixed => self::places($row['positions'])[$place]];
        }

        return self::ofKeywords($list, $name);
    }

    /** @return array<string, RowCell> */
    private static function ofKeywords(LongList $list, string $name): array
    {
        $beside = $list === LongList::Weigh ? [...self::OF_KEYWORDS, ...self::OF_WEIGHED] : self::OF_KEYWORDS;
        $orders = RowCatalogue::orders();
        $key = match (true) {
            $name === 'share' => 'visits_share',
            \in_array($name, $beside, true) => $name,
            isset($orders[$name]) => $orders[$name]->name,
            default => self::told($name) ?? throw self::unknown($name),
        };

        return [$key => match ($key) {
            'own_position' => static fn(array $row): mixed => self::places($row['positions'])[0],
            'best_position' => static fn(array $row): mixed => self::best(self::places($row['positions'])),
            default => static fn(array $row): mixed => $row[$key],
        }];
    }

    private static function told(string $name): ?string
    {
        foreach (RowCatalogue::orders() as $entry) {
            if ($entry->name === $name) {
                return $name;
            }
        }

        return null;
    }

    private static function columnOfPages(string $name): string
    {
        $names = [...RankedTopics::columns(), ...array_combine(self::OF_PAGES, self::OF_PAGES)];

        return $names[$name] ?? (\in_array($name, $names, true) ? $name : throw self::unknown($name));
    }

    private static function unknown(string $name): UserError
    {
        return UserError::because('columns', sprintf('This list has no column "%s".', $name));
    }

    /** @return array<int, mixed> place of a domain, ours first → what stands there */
    private static function places(mixed $value): array
    {
        /** @var array<int, mixed> */
        return \is_array($value) ? $value : [];
    }

    /** @param array<int, mixed> $positions ours first */
    private static function best(array $positions): mixed
    {
        $others = array_filter(\array_slice($positions, 1), static fn(mixed $position): bool => $position !== null);

        return $others === [] ? null : min($others);
    }

    /**
     * @param list<string>                                $domains
     * @param \Closure(Row, int): mixed $cell
     *
     * @return array<string, RowCell>
     */
    private static function ofDomains(array $domains, string $before, \Closure $cell): array
    {
        $cells = [];
        foreach ($domains as $place => $domain) {
            $cells[$before.$domain] = static function (array $row) use ($cell, $place): mixed {
                /** @var Row $row */
                return $cell($row, $place);
            };
        }

        return $cells;
    }

    /** @return \Generator<int, list<Row>> */
    private function blocks(Comparison $comparison, ListView $shown, FitGate $gate): \Generator
    {
        $next = null;
        do {
            ['rows' => $rows, 'next' => $next] = $this->block($comparison, $shown, $gate, $next);
            yield $this->withAddresses($comparison, $shown, $rows);
        } while ($next !== null);
    }

    /** @return array{rows: list<Row>, next: ?string, ...} */
    private function block(Comparison $comparison, ListView $shown, FitGate $gate, ?string $from): array
    {
        if ($shown->list === LongList::Compare) {
            return $this->bench->execute(
                $comparison,
                $shown->sentence,
                $shown->sort ?? 'volume',
                $shown->isDescending,
                $from,
                self::BLOCK,
            );
        }
        $sort = $shown->sort ?? RankedList::BY_PRIORITY;
        $asked = [$comparison, $shown->sentence, $shown->weights, $gate, (int) $from, self::BLOCK];

        $list = $shown->list === LongList::Pages ? $this->topics : $this->opportunities;

        return $list->execute(...$asked, sort: $sort, descending: $shown->isDescending);
    }

    /**
     * @param \Generator<int, list<Row>> $blocks
     * @param list<RowCell>               $cells
     *
     * @return \Generator<int, list<string|int|float|bool|null>>
     */
    private static function rows(\Generator $blocks, array $cells): \Generator
    {
        foreach ($blocks as $block) {
            foreach ($block as $row) {
                $written = [];
                foreach ($cells as $cell) {
                    $written[] = self::plain($cell($row));
                }
                yield $written;
            }
        }
    }

    private static function plain(mixed $value): string|int|float|bool|null
    {
        return match (true) {
            \is_array($value) => implode(', ', array_map(static fn(mixed $one): string => \is_string($one) ? $one : '', $value)),
            $value === null, \is_scalar($value) => $value,
            default => throw new \LogicException('A cell is a text or a number.'),
        };
    }
}
