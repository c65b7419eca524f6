<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Vocabulary\WriteContract;

/**
 * The API's document (OpenAPI 3.1) laid out to be read: operations by what they are about, with what they take and answer, then the shapes.
 *
 * @phpstan-type Field array{name: string, type: string, to: ?string, required: bool, says: string}
 * @phpstan-type Operation array{
 *     method: string, path: string, summary: string, takes: list<Field>, gives: list<Field>, answers: list<Field>
 * }
 */
final readonly class ApiReference
{
    private const METHODS = ['get', 'post', 'put', 'patch', 'delete'];
    private const REFERENCE = '#/components/schemas/';

    /** @param array<string, mixed> $document */
    public function __construct(private array $document)
    {
    }

    public static function shipped(): self
    {
        /** @var array<string, mixed> $document */
        $document = json_decode((string) file_get_contents(base_path(WriteContract::DOCUMENT)), true, 512, JSON_THROW_ON_ERROR);

        return new self($document);
    }

    public function about(): string
    {
        return self::text(self::at($this->document, 'info')['description'] ?? '');
    }

    /** @return array<string, list<Operation>> what they are about → operations, in the document's order */
    public function operations(): array
    {
        $operations = [];
        foreach (self::at($this->document, 'paths') as $path => $item) {
            $methods = array_intersect_key(self::map($item), array_flip(self::METHODS));
            foreach ($methods as $method => $operation) {
                $operations[self::topic($path)][] = $this->operation($method, $path, self::map($item), self::map($operation));
            }
        }

        return $operations;
    }

    /** @return array<string, list<Field>> shape → its fields; one without fields has a line that tells what it is */
    public function shapes(): array
    {
        $shapes = [];
        foreach (self::at(self::at($this->document, 'components'), 'schemas') as $name => $schema) {
            $fields = $this->fields(self::map($schema));
            $shapes[$name] = $fields === [] ? [self::field('', self::map($schema), true)] : $fields;
        }
        ksort($shapes);

        return $shapes;
    }

    /** The part of a path that says what it is about: that after the study where it is one of a study. */
    private static function topic(string $path): string
    {
        $parts = explode('/', trim($path, '/'));

        return $parts[0] === 'studies' && isset($parts[2]) ? $parts[2] : $parts[0];
    }

    /**
     * @param array<string, mixed> $item
     * @param array<string, mixed> $operation
     *
     * @return Operation
     */
    private function operation(string $method, string $path, array $item, array $operation): array
    {
        $takes = [];
        foreach ([...self::at($item, 'parameters'), ...self::at($operation, 'parameters')] as $parameter) {
            $parameter = self::map($parameter);
            $takes[] = self::field(
                self::text($parameter['name'] ?? ''),
                ['description' => $parameter['description'] ?? null] + self::at($parameter, 'schema'),
                ($parameter['required'] ?? false) === true,
            );
        }
        $answers = [];
        foreach (self::at($operation, 'responses') as $status => $answer) {
            $answer = self::map($answer);
            if (isset($answer['content'])) {
                $schema = self::content($answer);
                $answers[] = self::field((string) $status, ['description' => $answer['description'] ?? null] + $schema, true);
            }
        }

        return [
            'method' => strtoupper($method),
            'path' => $path,
            'summary' => self::text($operation['summary'] ?? ''),
            'takes' => $takes,
            'gives' => $this->fields(self::content(self::at($operation, 'requestBody'))),
            'answers' => $answers,
        ];
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return list<Field> one that only refers to a shape has that as its only field
     */
    private function fields(array $schema): array
    {
        if (isset($schema['$ref'])) {
            return [self::field('', $schema, true)];
        }
        $required = self::at($schema, 'required');
        $fields = [];
        foreach (self::at($schema, 'properties') as $name => $property) {
            $fields[] = self::field($name, self::map($property), \in_array($name, $required, true));
        }
        foreach (self::at($schema, 'allOf') as $part) {
            array_push($fields, ...$this->fields(self::map($part)));
        }

        return $fields;
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return Field
     */
    private static function field(string $name, array $schema, bool $isRequired): array
    {
        [$type, $to] = self::type($schema);

        $says = self::text($schema['description'] ?? '');

        return ['name' => $name, 'type' => $type, 'to' => $to, 'required' => $isRequired, 'says' => $says];
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return array{string, ?string} in words, and the shape that it leads to
     */
    private static function type(array $schema): array
    {
        $reference = self::text($schema['$ref'] ?? '');
        if ($reference !== '') {
            $name = str_replace(self::REFERENCE, '', $reference);

            return [$name, $name];
        }
        foreach (['anyOf', 'oneOf'] as $choice) {
            $types = array_map(static fn(mixed $one): array => self::type(self::map($one)), array_values(self::at($schema, $choice)));
            if ($types !== []) {
                return [implode(' or ', array_column($types, 0)), array_values(array_filter(array_column($types, 1)))[0] ?? null];
            }
        }
        if (isset($schema['items'])) {
            [$type, $to] = self::type(self::map($schema['items']));

            return ["list of {$type}", $to];
        }
        $named = self::at($schema, 'enum');
        $types = array_filter(\is_array($schema['type'] ?? null) ? $schema['type'] : [$schema['type'] ?? 'object'], is_string(...));

        return [$named === [] ? implode(' or ', $types) : implode(', ', array_map(self::text(...), $named)), null];
    }

    /**
     * @param array<string, mixed> $holder a body or an answer
     *
     * @return array<string, mixed> its schema, of whichever kind comes first
     */
    private static function content(array $holder): array
    {
        $first = array_values(self::at($holder, 'content'))[0] ?? [];

        return self::at(self::map($first), 'schema');
    }

    /**
     * @param array<string, mixed> $of
     *
     * @return array<string, mixed>
     */
    private static function at(array $of, string $name): array
    {
        return self::map($of[$name] ?? []);
    }

    /** @return array<string, mixed> */
    private static function map(mixed $value): array
    {
        /** @var array<string, mixed> */
        return \is_array($value) ? $value : [];
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
