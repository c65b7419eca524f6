<?php

declare(strict_types=1);

namespace App\Actions\Keywords;

use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOptions;
use App\Actions\Imports\ImportOutcome;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Keyword\KeywordKey;

/**
 * Puts keywords into the study's own list, with their figures from a source where there is one. It counts as an import and can be undone.
 */
final readonly class AddKeywords
{
    public const MOST = 20_000;

    public function __construct(private Sources $sources, private ImportFile $import)
    {
    }

    /**
     * @param list<string> $lines  one keyword each; blank ones are passed over
     * @param string       $origin where they come from, as it is shown among the imports
     * @param ?string      $source asked for their figures
     *
     * @throws UserError|SourceProblem
     */
    public function execute(Study $study, array $lines, string $origin, ?string $source, ?int $user): ImportOutcome
    {
        $keywords = self::keys($lines);
        $rows = $source === null ? [] : $this->figures($study, $keywords, $source);
        $path = tempnam(sys_get_temp_dir(), 'reach-') ?: throw new \RuntimeException('Can’t create a temporary file.');
        try {
            file_put_contents(
                $path,
                implode(
                    '',
                    array_map(
                        static fn(string $keyword): string => json_encode(
                            $rows[$keyword] ?? ['keyword' => $keyword],
                            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                        )."\n",
                        $keywords,
                    ),
                ),
            );

            return $this->import->execute(
                new ImportOptions($study, ImportKind::Keywords, $path, $origin, now('UTC')->toDateString(), userId: $user),
            );
        } finally {
            unlink($path);
        }
    }

    /**
     * @param list<string> $lines
     *
     * @return non-empty-list<string>
     */
    private static function keys(array $lines): array
    {
        $keys = [];
        foreach ($lines as $number => $line) {
            try {
                $keys[] = trim($line) === '' ? '' : KeywordKey::of($line);
            } catch (InvalidValue $problem) {
                $line = InvalidValue::quote($line);
                throw UserError::because('keywords', sprintf('Line %d: "%s" %s.', $number + 1, $line, $problem->reason));
            }
        }
        $unique = array_values(array_unique(array_filter($keys, static fn(string $key): bool => $key !== '')));
        if ($unique === [] || \count($unique) > self::MOST) {
            throw UserError::because(
                'keywords',
                $unique === []
                    ? 'No keywords found. Write one per line.'
                    : 'Add at most 20,000 keywords at once. Import more as a file.',
            );
        }

        return $unique;
    }

    /**
     * @param list<string> $keywords
     *
     * @return array<string, array<string, string|int|float|null>>
     */
    private function figures(Study $study, array $keywords, string $name): array
    {
        $source = $this->sources->get($name);
        $rows = [];
        foreach (array_chunk($keywords, max(1, $source->mostKeywords())) as $batch) {
            foreach ($source->metrics(SourceMarket::of($study), $batch) as $row) {
                $rows[(string) $row['keyword']] = $row;
            }
        }

        return $rows;
    }
}
