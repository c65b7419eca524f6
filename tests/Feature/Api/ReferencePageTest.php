<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Documents\ApiReference;
use App\Actions\Vocabulary\WriteContract;
use Tests\TestCase;

/** The API as a page: nothing of its document is left out, nothing leads nowhere. */
final class ReferencePageTest extends TestCase
{
    private function page(): string
    {
        $this->actingAs($this->makeUser());

        return (string) $this->get('/api')->assertOk()->getContent();
    }

    public function test_every_operation_and_every_shape_of_the_document_stands_there(): void
    {
        $page = html_entity_decode($this->page());
        /** @var array{paths: array<string, array<string, mixed>>, components: array{schemas: array<string, mixed>}} $document */
        $document = json_decode((string) file_get_contents(base_path(WriteContract::DOCUMENT)), true, 512, JSON_THROW_ON_ERROR);
        foreach ($document['paths'] as $path => $operations) {
            foreach (array_keys(array_diff_key($operations, ['parameters' => 1])) as $method) {
                self::assertStringContainsString('<code>'.strtoupper($method)." {$path}</code>", $page);
            }
        }
        foreach (array_keys($document['components']['schemas']) as $name) {
            self::assertStringContainsString("id=\"shape-{$name}\"", $page);
        }
    }

    public function test_every_reference_leads_somewhere(): void
    {
        preg_match_all('/href="#([^"]+)"/', $page = $this->page(), $links);
        self::assertGreaterThan(100, \count($links[1]));
        foreach (array_unique($links[1]) as $link) {
            self::assertStringContainsString("id=\"{$link}\"", $page);
        }
    }

    public function test_what_it_takes_is_sent_and_answers_is_told_with_types_and_meanings(): void
    {
        $reference = new ApiReference([
            'paths' => ['/studies/{study}/pens' => [
                'parameters' => [['name' => 'study', 'required' => true, 'schema' => ['type' => 'string']]],
                'post' => [
                    'summary' => 'Buy',
                    'parameters' => [['name' => 'now', 'description' => 'At once', 'schema' => ['type' => 'boolean']]],
                    'requestBody' => ['content' => ['application/json' => ['schema' => [
                        'required' => ['ink'],
                        'properties' => [
                            'ink' => ['type' => ['string', 'null'], 'description' => 'Its colour'],
                            'nibs' => ['type' => 'array', 'items' => ['$ref' => '#/components/schemas/Nib']],
                            'kind' => ['enum' => ['dip', 'gel']],
                        ],
                    ]]]],
                    'responses' => [
                        '200' => ['description' => 'Bought', 'content' => ['application/json' => ['schema' => [
                            'anyOf' => [['$ref' => '#/components/schemas/Pen'], ['type' => 'null']],
                        ]]]],
                        '4XX' => ['$ref' => '#/components/responses/Problem'],
                    ],
                ],
            ]],
            'components' => ['schemas' => ['Nib' => ['type' => 'integer', 'description' => 'Width'], 'Pen' => [
                'allOf' => [['$ref' => '#/components/schemas/Nib'], ['properties' => ['price' => ['type' => 'number']]]],
            ]]],
        ]);
        $field = static fn(string $name, string $type, ?string $to, bool $required, string $says): array => compact(
            'name',
            'type',
            'to',
            'required',
            'says',
        );
        self::assertSame(['pens' => [[
            'method' => 'POST',
            'path' => '/studies/{study}/pens',
            'summary' => 'Buy',
            'takes' => [$field('study', 'string', null, true, ''), $field('now', 'boolean', null, false, 'At once')],
            'gives' => [
                $field('ink', 'string or null', null, true, 'Its colour'),
                $field('nibs', 'list of Nib', 'Nib', false, ''),
                $field('kind', 'dip, gel', null, false, ''),
            ],
            'answers' => [$field('200', 'Pen or null', 'Pen', true, 'Bought')],
        ]]], $reference->operations());
        self::assertSame([
            'Nib' => [$field('', 'integer', null, true, 'Width')],
            'Pen' => [$field('', 'Nib', 'Nib', true, ''), $field('price', 'number', null, false, '')],
        ], $reference->shapes());
    }

    public function test_who_has_not_signed_in_is_led_to_the_sign_in(): void
    {
        $this->get('/api')->assertRedirect('/sign-in');
    }
}
