import {
  Controller,
  Delete,
  DynamicModule,
  Get,
  Header,
  HttpCode,
  Module,
  NotFoundException,
  Param,
  ParseEnumPipe,
  Post,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import {
  BackupList,
  BackupView,
  ExportQuery,
  GymFile,
  ImportQuery,
  ImportReport,
  KeepingView,
  SureQuery,
  UsesView,
} from '@eurhythm/contract';
import contentDisposition from 'content-disposition';
import type { Request } from 'express';
import { Readable } from 'node:stream';
import { AllowRoles } from '../auth/allowRoles.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { answers, answersFile, answersNothing, refTo } from '../http/answers.ts';
import { CopyFolder } from '../store/copies/copyFolder.ts';
import { AuditService } from './audit.service.ts';
import { BackupsService, COPIES } from './backups.service.ts';
import { CsvService } from '../exchange/csv/csv.service.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { CSV_TABLES, type CsvTableName } from '../exchange/csv/csvTables.ts';
import { DemoGymService } from './demoGym.service.ts';
import { GymFileService } from '../exchange/gymFile/gymFile.service.ts';
import { jsonPieces } from '../exchange/gymFile/jsonPieces.ts';
import { PersonsService } from './persons.service.ts';

const TABLE = new ParseEnumPipe(Object.fromEntries(CSV_TABLES.map((name) => [name, name])), {
  exceptionFactory: () =>
    new NotFoundException(`There is no such table; there are ${CSV_TABLES.join(', ')}.`),
});

@Controller('api')
class BackupController {
  constructor(
    private readonly files: GymFileService,
    private readonly csv: CsvService,
    private readonly persons: PersonsService,
    private readonly demo: DemoGymService,
    private readonly audit: AuditService,
  ) {}

  @AllowRoles('coach')
  @Get('keeping')
  @answers(KeepingView)
  async keeping(): Promise<KeepingView> {
    return { demo: await this.demo.isHere(), audit: await this.audit.lines() };
  }

  /** The whole gym as a file, or what belongs to one grade, piece of the library or fighter. */
  @Get('export.json')
  @answers(GymFile)
  async take(@Query() query: ExportQuery): Promise<StreamableFile> {
    const now = new Date();
    const file = await this.files.file(query, now);
    const name = `gym-${now.toISOString().slice(0, 10)}.json`;
    return new StreamableFile(Readable.from(jsonPieces(file)), {
      type: 'application/json; charset=utf-8',
      disposition: contentDisposition.create(name),
    });
  }

  /** Brings a file in, all or nothing; `preview=yes` only tells what would be done. */
  @Post('import')
  @HttpCode(200)
  @ApiConsumes('application/json')
  @ApiBody({ schema: refTo(GymFile) })
  @answers(ImportReport)
  bringIn(@Req() { body }: Request, @Query() { preview }: ImportQuery): Promise<ImportReport> {
    return this.files.bringIn(bytesOf(body), { isPreview: preview === 'yes' });
  }

  /** Fighters, marks or trials as a table. */
  @Get('export/:table.csv')
  @answersFile('text/csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  async table(@Param('table', TABLE) table: CsvTableName): Promise<StreamableFile> {
    return new StreamableFile(Buffer.from(await this.csv.table(table)), {
      type: 'text/csv; charset=utf-8',
      disposition: contentDisposition.create(`${table}.csv`),
    });
  }

  /** Brings a table in, all or nothing; `preview=yes` only tells what would be done. */
  @Post('import/:table.csv')
  @HttpCode(200)
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @answers(ImportReport)
  bringInTable(
    @Param('table', TABLE) table: CsvTableName,
    @Req() { body }: Request,
    @Query() { preview }: ImportQuery,
  ): Promise<ImportReport> {
    return this.csv.bringIn(table, bytesOf(body), { isPreview: preview === 'yes' });
  }

  /** Erases everything that is kept about a fighter, for good. */
  @Delete('fighters/:id')
  @HttpCode(204)
  @answersNothing()
  erase(@Param('id') id: string, @Query() _sure: SureQuery): Promise<void> {
    return this.persons.erase(id);
  }

  /** Takes the demonstration out; tells what of it stays because the gym changed or needs it. */
  @Delete('demo')
  @answers(UsesView)
  async takeOutDemo(@Query() _sure: SureQuery): Promise<UsesView> {
    return { usedBy: await this.demo.takeOut() };
  }
}

@Controller('api/backups')
class BackupsController {
  constructor(private readonly backups: BackupsService) {}

  @Get()
  @answers(BackupList)
  list(): Promise<BackupList> {
    return this.backups.list();
  }

  @Post()
  @HttpCode(200)
  @answers(BackupView)
  make(): Promise<BackupView> {
    return this.backups.make();
  }

  @Get(':name')
  @answersFile('application/gzip')
  async open(@Param('name') name: string): Promise<StreamableFile> {
    return new StreamableFile(await this.backups.open(name), {
      type: 'application/gzip',
      disposition: contentDisposition.create(name),
    });
  }

  /** Brings a copy back; gives the copy of what was there before. */
  @Post(':name/restore')
  @HttpCode(200)
  @answers(BackupView)
  restore(@Param('name') name: string, @Query() _sure: SureQuery): Promise<BackupView> {
    return this.backups.restore(name);
  }
}

function bytesOf(body: unknown): Uint8Array {
  return Buffer.isBuffer(body) ? body : Buffer.alloc(0);
}

@Module({})
export class BackupModule {
  static in(dataFolder: string): DynamicModule {
    return {
      module: BackupModule,
      imports: [HeavyModule, ProgressModule],
      controllers: [BackupController, BackupsController],
      providers: [
        AuditService,
        BackupsService,
        CsvService,
        DemoGymService,
        GymFileService,
        PersonsService,
        { provide: COPIES, useFactory: () => new CopyFolder(dataFolder) },
      ],
    };
  }
}
