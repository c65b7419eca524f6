<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** Which cell of a row holds which field, and how many cells a row must have. */
final readonly class ColumnPlan
{
    /** @var list<int> cells that hold numbers of any kind */
    public array $numeric;

    /**
     * @param array<int, Field> $columns cell number → field
     * @param list<string>      $headers as in the file, empty ones at the end dropped
     */
    private function __construct(public array $columns, public array $headers)
    {
        $this->numeric = array_keys(array_filter($columns, static fn(Field $field): bool => $field->type->isNumeric()));
    }

    /**
     * Matches the headers of a file to the fields of a kind, a person's own mapping first.
     *
     * @param list<string>          $headers
     * @param array<string, string> $mapping field → header
     *
     * @throws FileProblem
     */
    public static function match(ImportKind $kind, array $headers, array $mapping = []): self
    {
        while ($headers !== [] && trim(end($headers)) === '') {
            array_pop($headers);
        }
        $columns = self::mapped($kind, $headers, $mapping);
        foreach ($kind->fields() as $field) {
            $cell = isset($mapping[$field->name]) ? null : self::find($field, $headers, $columns);
            if ($cell !== null) {
                $columns[$cell] = $field;
            }
        }
        $plan = new self($columns, $headers);
        $plan->requireAll($kind);

        return $plan;
    }

    /**
     * What match() finds before something is in its way: the mapping that can be shown and completed.
     *
     * @param list<string>          $headers
     * @param array<string, string> $mapping field → header
     *
     * @return array<string, string> field → header
     */
    public static function partial(ImportKind $kind, array $headers, array $mapping): array
    {
        $columns = [];
        foreach ($mapping as $name => $header) {
            try {
                $columns += self::mapped($kind, $headers, [$name => $header]);
            } catch (FileProblem) {
                // A header that is gone, or there twice, is left for a person to choose.
            }
        }
        foreach ($kind->fields() as $field) {
            try {
                $cell = isset($mapping[$field->name]) ? null : self::find($field, $headers, $columns);
            } catch (FileProblem) {
                $cell = null;
            }
            if ($cell !== null) {
                $columns[$cell] = $field;
            }
        }

        return (new self($columns, $headers))->mapping();
    }

    /**
     * Columns that no field takes, and that are nearly called as one that is still free.
     *
     * @param list<string>          $headers
     * @param array<string, string> $mapping field → header, of those that are taken
     *
     * @return array<string, string> header → field
     */
    public static function nearly(ImportKind $kind, array $headers, array $mapping): array
    {
        $nearly = [];
        $taken = array_map(Field::fold(...), array_values($mapping));
        foreach ($kind->fields() as $field) {
            if (isset($mapping[$field->name]) || \in_array($field->name, $nearly, true)) {
                continue;
            }
            foreach ($headers as $header) {
                if (! \in_array(Field::fold($header), $taken, true) && ! isset($nearly[$header]) && $field->isNearly($header)) {
                    $nearly[$header] = $field->name;
                    break;
                }
            }
        }

        return $nearly;
    }

    public function has(string $field): bool
    {
        foreach ($this->columns as $column) {
            if ($column->name === $field) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, string> field → header */
    public function mapping(): array
    {
        $mapping = [];
        foreach ($this->columns as $cell => $field) {
            $mapping[$field->name] = $this->headers[$cell];
        }

        return $mapping;
    }

    /**
     * @param list<string>          $headers
     * @param array<string, string> $mapping
     *
     * @return array<int, Field>
     */
    private static function mapped(ImportKind $kind, array $headers, array $mapping): array
    {
        $fields = array_column(array_map(static fn(Field $field): array => [$field->name, $field], $kind->fields()), 1, 0);
        $columns = [];
        foreach ($mapping as $name => $header) {
            $field = $fields[$name] ?? throw FileProblem::unknownField($name, implode(', ', array_keys($fields)));
            $cells = array_keys(array_map(Field::fold(...), $headers), Field::fold($header), true);
            if ($cells === []) {
                throw FileProblem::unknownHeader($header);
            }
            if (\count($cells) > 1 || isset($columns[$cells[0]])) {
                throw FileProblem::doubledColumn($name, $header, $headers[$cells[1] ?? $cells[0]]);
            }
            $columns[$cells[0]] = $field;
        }

        return $columns;
    }

    /**
     * @param list<string>      $headers
     * @param array<int, Field> $taken
     */
    private static function find(Field $field, array $headers, array $taken): ?int
    {
        $exact = $similar = [];
        foreach ($headers as $cell => $header) {
            $folded = Field::fold($header);
            if (isset($taken[$cell]) || ! $field->answersTo($folded)) {
                continue;
            }
            $field->isNamedExactly($folded) ? $exact[] = $cell : $similar[] = $cell;
        }
        $found = $exact === [] ? $similar : $exact;
        if (\count($found) > 1) {
            throw FileProblem::doubledColumn($field->name, $headers[$found[0]], $headers[$found[1]]);
        }

        return $found[0] ?? null;
    }

    private function requireAll(ImportKind $kind): void
    {
        foreach ($kind->fields() as $field) {
            if ($field->isRequired && ! $this->has($field->name)) {
                throw FileProblem::missingColumn($field->name, implode(', ', $this->headers));
            }
        }
    }
}
