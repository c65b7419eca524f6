<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

use App\Actions\Documents\ApiReference;

/** What is laid out to be read. */
final class KnownTextsTest extends AnswersCase
{
    public function test_a_document_of_an_api_is_laid_out(): void
    {
        $text = static fn(string $says): array => ['type' => 'string', 'description' => $says];
        $pen = ['$ref' => '#/components/schemas/Pen'];
        $reference = new ApiReference([
            'info' => ['description' => 'Of pens.'],
            'paths' => [
                '/pens' => [
                    'get' => [
                        'summary' => 'All pens',
                        'parameters' => [
                            ['name' => 'ink', 'description' => 'Of this ink', 'schema' => ['type' => 'string', 'enum' => ['blue', 'red']]],
                            ['name' => 'limit', 'required' => true, 'schema' => ['type' => ['integer', 'null'], 'minimum' => 1]],
                        ],
                        'responses' => [
                            '200' => [
                                'description' => 'Pens',
                                'content' => ['application/json' => ['schema' => ['type' => 'array', 'items' => $pen]]],
                            ],
                            '204' => ['description' => 'None'],
                        ],
                    ],
                    'post' => [
                        'summary' => 'A new pen',
                        'requestBody' => ['content' => ['application/json' => ['schema' => $pen]]],
                        'responses' => ['201' => ['description' => 'Made', 'content' => ['application/json' => ['schema' => $pen]]]],
                    ],
                ],
                '/studies/{slug}/nibs/{nib}' => [
                    'parameters' => [['name' => 'slug', 'required' => true, 'schema' => ['type' => 'string', 'format' => 'uuid']]],
                    'delete' => ['summary' => 'Takes a nib away', 'responses' => []],
                ],
                '/studies/{slug}' => ['patch' => [
                    'requestBody' => ['content' => ['application/json' => ['schema' => [
                        'type' => 'object', 'required' => ['name'],
                        'properties' => ['name' => $text('Its name'), 'pens' => ['type' => 'array', 'items' => ['type' => 'integer']]],
                    ]]]],
                ]],
            ],
            'components' => ['schemas' => [
                'Pen' => ['type' => 'object', 'required' => ['ink'], 'properties' => [
                    'ink' => $text('Blue or red'), 'nib' => ['$ref' => '#/components/schemas/Nib'],
                    'width' => ['type' => ['number', 'null']], 'cap' => ['oneOf' => [['type' => 'boolean'], ['type' => 'null']]],
                    'more' => ['type' => 'object', 'additionalProperties' => ['type' => 'integer']],
                ]],
                'Brush' => ['allOf' => [$pen, ['type' => 'object', 'properties' => ['hair' => $text('Of what')]]]],
                'Nib' => ['type' => 'string', 'enum' => ['fine', 'broad'], 'description' => 'How wide it writes'],
            ]],
        ]);
        $this->begin('text-reference');
        $this->book->add('about', $reference->about());
        foreach ($reference->operations() as $topic => $operations) {
            foreach ($operations as $operation) {
                $this->book->add("{$topic}: {$operation['method']} {$operation['path']}", $operation);
            }
        }
        foreach ($reference->shapes() as $shape => $fields) {
            $this->book->add("shape {$shape}", [$fields]);
        }
        $this->book->check();
    }
}
