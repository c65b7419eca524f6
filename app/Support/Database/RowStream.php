<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Reads a long query through a server-side cursor, so that memory does not grow with it. Needs an open transaction. */
final class RowStream
{
    private const BATCH = 4000;

    private static int $opened = 0;

    /**
     * @param list<string|int|null> $bindings
     *
     * @return \Generator<int, list<string|int|float|bool|null>> rows as lists, in the order of the query's columns
     */
    public static function of(string $sql, array $bindings = []): \Generator
    {
        return self::read($sql, $bindings);
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> rows of a query as of() gives them */
    public static function ofQuery(Builder $query): \Generator
    {
        return self::read($query->toSql(), $query->getBindings());
    }

    /**
     * @param array<mixed> $bindings
     *
     * @return \Generator<int, list<string|int|float|bool|null>>
     */
    private static function read(string $sql, array $bindings): \Generator
    {
        $cursor = 'reach_stream_'.(++self::$opened);
        $pdo = DB::connection()->getPdo();
        $pdo->prepare("DECLARE {$cursor} NO SCROLL CURSOR FOR {$sql}")->execute($bindings);
        $fetch = $pdo->prepare('FETCH '.self::BATCH." FROM {$cursor}");
        do {
            $fetch->execute();
            /** @var list<list<string|int|float|bool|null>> $rows */
            $rows = $fetch->fetchAll(\PDO::FETCH_NUM);
            foreach ($rows as $row) {
                yield $row;
            }
        } while (\count($rows) === self::BATCH);
        $pdo->exec("CLOSE {$cursor}");
    }
}
