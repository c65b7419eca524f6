<?php

declare(strict_types=1);

namespace App\Actions\Vocabulary;

/** What the API's document says of its operations. */
final class Operations
{
    private const DOCUMENT = 'api/openapi.json';

    /** @var ?array<string, string> */
    private ?array $summaries = null;

    /** @param string $operation such as `POST /studies/{slug}/decisions` */
    public function summary(string $operation): ?string
    {
        return ($this->summaries ??= self::read())[$operation] ?? null;
    }

    /** @return array<string, string> operation → its summary */
    private static function read(): array
    {
        /** @var array{paths: array<string, array<string, array{summary?: string}|list<mixed>>>} $document */
        $document = json_decode((string) file_get_contents(resource_path(self::DOCUMENT)), true, 64, JSON_THROW_ON_ERROR);
        $summaries = [];
        foreach ($document['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                if (isset($operation['summary']) && \is_string($operation['summary'])) {
                    $summaries[strtoupper($method).' '.$path] = $operation['summary'];
                }
            }
        }

        return $summaries;
    }
}
