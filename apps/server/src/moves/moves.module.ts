import { Controller, Get, Module } from '@nestjs/common';
import type { Move, NumberedMove } from '@eurhythm/core/moves';
import { MovesService } from './moves.service.ts';

@Controller('api/moves')
class MovesController {
  constructor(private readonly book: MovesService) {}

  @Get()
  async list(): Promise<{ items: Move[]; numbers: NumberedMove[] }> {
    const [items, numbers] = await Promise.all([this.book.moves(), this.book.numbers()]);
    return { items, numbers };
  }
}

@Module({ controllers: [MovesController], providers: [MovesService], exports: [MovesService] })
export class MovesModule {}
