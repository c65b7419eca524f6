<?php

declare(strict_types=1);

namespace App\Actions\Pulls;

use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Support\Facades\Storage;

/**
 * Where what a source sends is kept aside on this machine until all of it is there, one object a line. A part that broke off goes on with
 * the page after the last whole one; on another machine it begins again.
 */
final readonly class PullFolder
{
    private const FOLDER = 'pulls';

    public function __construct(private string $key)
    {
        Storage::disk('local')->makeDirectory(self::FOLDER.'/'.$key);
    }

    public function path(string $part): string
    {
        return Storage::disk('local')->path(self::FOLDER.'/'.$this->key.'/'.$part.'.ndjson');
    }

    public function has(string $part): bool
    {
        return is_file($this->path($part));
    }

    /** The page that comes next of a part that broke off, 1 at its beginning. */
    public function nextPage(string $part): int
    {
        $mark = $this->path($part).'.next';

        return is_file($mark) ? (int) file_get_contents($mark) : 1;
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @param ?int                       $next the page that comes next, null when the part is whole
     *
     * @throws FileProblem when there is no room
     */
    public function append(string $part, array $rows, ?int $next): void
    {
        $path = $this->path($part);
        $lines = implode(
            '',
            array_map(
                static fn(array $row): string => json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES).
                    "\n",
                $rows,
            ),
        );
        // The length that belongs to the mark; what a killed pull wrote behind it is cut off.
        $whole = is_file($path.'.part') && is_file($path.'.length') ? max(0, (int) file_get_contents($path.'.length')) : 0;
        $file = fopen($path.'.part', 'c+b') ?: throw FileProblem::noRoom();
        ftruncate($file, $whole);
        fseek($file, $whole);
        if (fwrite($file, $lines) !== \strlen($lines)) {
            throw FileProblem::noRoom();
        }
        fclose($file);
        file_put_contents($path.'.length', (string) ($whole + \strlen($lines)));
        if ($next === null) {
            rename($path.'.part', $path);
            @unlink($path.'.next');
            @unlink($path.'.length');
        } else {
            file_put_contents($path.'.next', (string) $next);
        }
    }

    /** @return \Generator<int, array<string, string|int|float|null>> rows of a whole part */
    public function rows(string $part): \Generator
    {
        $file = fopen($this->path($part), 'rb') ?: throw FileProblem::noRoom();
        while (($line = fgets($file)) !== false) {
            /** @var array<string, string|int|float|null> $row */
            $row = json_decode($line, true, 16, JSON_THROW_ON_ERROR);
            yield $row;
        }
        fclose($file);
    }

    public function isEmpty(string $part): bool
    {
        return filesize($this->path($part)) === 0;
    }

    public function forget(): void
    {
        Storage::disk('local')->deleteDirectory(self::FOLDER.'/'.$this->key);
    }
}
