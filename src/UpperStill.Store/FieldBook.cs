using System.Globalization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Identity.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using UpperStill.Core.Record.Readings;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Store;

/// <summary>The database: the log of entries, the reference tables, people, and the projections of the log.</summary>
public sealed class FieldBook(DbContextOptions<FieldBook> options) : IdentityUserContext<Person, Guid>(options)
{
    /// <summary>The log; append only.</summary>
    public DbSet<EntryRow> Entries => Set<EntryRow>();

    /// <summary>The chain of the log; append only.</summary>
    public DbSet<LinkRow> Links => Set<LinkRow>();

    /// <summary>Who is signed in where.</summary>
    public DbSet<SessionRow> Sessions => Set<SessionRow>();

    /// <summary>What happened to accounts.</summary>
    public DbSet<AccountEvent> AccountEvents => Set<AccountEvent>();

    /// <summary>Names in the record beside those that people bear now.</summary>
    public DbSet<KnownName> KnownNames => Set<KnownName>();

    /// <summary>Trainings that people had.</summary>
    public DbSet<TrainingRow> Trainings => Set<TrainingRow>();

    /// <summary>Waters.</summary>
    public DbSet<WaterRow> Waters => Set<WaterRow>();

    /// <summary>Who changed what when; append only.</summary>
    public DbSet<ChangeRow> Changes => Set<ChangeRow>();

    /// <summary>Stations.</summary>
    public DbSet<StationRow> Stations => Set<StationRow>();

    /// <summary>Versions of programmes.</summary>
    public DbSet<ProgrammeRow> Programmes => Set<ProgrammeRow>();

    /// <summary>The kit.</summary>
    public DbSet<KitRow> Kit => Set<KitRow>();

    /// <summary>Checks of the kit; append only.</summary>
    public DbSet<KitCheckRow> KitChecks => Set<KitCheckRow>();

    /// <summary>Photographs.</summary>
    public DbSet<PhotoRow> Photos => Set<PhotoRow>();

    /// <summary>Stations proposed.</summary>
    public DbSet<ProposalRow> Proposals => Set<ProposalRow>();

    /// <summary>Laboratories.</summary>
    public DbSet<LaboratoryRow> Laboratories => Set<LaboratoryRow>();

    /// <summary>Days of the season set aside by hand.</summary>
    public DbSet<SeasonDayRow> SeasonDays => Set<SeasonDayRow>();

    /// <summary>Facts about this instance.</summary>
    public DbSet<InstanceFact> Facts => Set<InstanceFact>();

    /// <summary>Visits, from the log.</summary>
    public DbSet<VisitRow> Visits => Set<VisitRow>();

    /// <summary>Visits that are still to be worked out since a long import.</summary>
    public DbSet<WaitingVisitRow> Waiting => Set<WaitingVisitRow>();

    /// <summary>Numbers of the record, from the log.</summary>
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    /// <summary>Readings and levels together, one number a row.</summary>
    public DbSet<RecordRow> Record => Set<RecordRow>();

    /// <summary>Levels of profiles, from the log.</summary>
    public DbSet<LevelRow> Levels => Set<LevelRow>();

    /// <summary>Samples, from the log.</summary>
    public DbSet<SampleRow> Samples => Set<SampleRow>();

    /// <summary>What profiles leave in the record, from the log.</summary>
    public DbSet<ProfileRow> Profiles => Set<ProfileRow>();

    /// <summary>What series say, kept until something under them changes.</summary>
    public DbSet<AnswerRow> Answers => Set<AnswerRow>();

    /// <summary>How often what a station's series rest on has changed; counted by triggers.</summary>
    public DbSet<StationMarkRow> StationMarks => Set<StationMarkRow>();

    /// <summary>Changes of method across which a series is joined.</summary>
    public DbSet<SeriesJoinRow> SeriesJoins => Set<SeriesJoinRow>();

    /// <summary>Limits that values are held against.</summary>
    public DbSet<BenchmarkRow> Benchmarks => Set<BenchmarkRow>();

    /// <summary>Rows of results files that wait for somebody.</summary>
    public DbSet<HeldResultRow> HeldResults => Set<HeldResultRow>();

    /// <summary>How the columns of results files are read.</summary>
    public DbSet<ResultMappingRow> ResultMappings => Set<ResultMappingRow>();

    /// <summary>Findings, from the log.</summary>
    public DbSet<FindingRow> Findings => Set<FindingRow>();

    /// <inheritdoc/>
    public override async Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        var written = ChangeTracker.Entries<EntryRow>().Where(e => e.State == EntityState.Added).Select(e => e.Entity).ToList();
        if (written.Count == 0)
        {
            return await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
        }

        // An entry and its link are written together or not at all; which place an entry has is known once it is written.
        await using var transaction = Database.CurrentTransaction is null ? await Database.BeginTransactionAsync(cancellationToken) : null;
        var saved = await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
        await LogChain.ExtendAsync(this, written, cancellationToken);
        saved += await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
        if (transaction is not null)
        {
            await transaction.CommitAsync(cancellationToken);
        }

        return saved;
    }

    /// <inheritdoc/>
    public override int SaveChanges(bool acceptAllChangesOnSuccess) =>
        ChangeTracker.Entries<EntryRow>().Any(e => e.State == EntityState.Added)
            ? throw new InvalidOperationException("Entries are saved with SaveChangesAsync, which links them.")
            : base.SaveChanges(acceptAllChangesOnSuccess);

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        base.OnModelCreating(builder);
        builder.Entity<Person>(person =>
        {
            person.ToTable("People");
            person.Property(p => p.Name).HasMaxLength(Person.LongestName);
            person.Ignore(p => p.Grants).Ignore(p => p.Permissions);
        });
        builder.Entity<IdentityUserClaim<Guid>>().ToTable("PeopleClaims");
        builder.Entity<IdentityUserLogin<Guid>>().ToTable("PeopleLogins");
        builder.Entity<IdentityUserToken<Guid>>().ToTable("PeopleTokens");
        builder.Entity<SessionRow>().HasIndex(s => s.Person);
        builder.Entity<AccountEvent>().HasKey(e => e.Sequence);
        builder.Entity<KnownName>(name =>
        {
            name.HasKey(n => n.Name);
            name.HasIndex(n => n.Person);
        });
        builder.Entity<WaterRow>().HasKey(w => w.Code);
        builder.Entity<ChangeRow>(change =>
        {
            change.HasKey(c => c.Sequence);
            change.HasIndex(c => new { c.Subject, c.Key });
        });
        builder.Entity<EntryRow>(entry =>
        {
            entry.HasKey(e => e.Sequence);
            entry.Property(e => e.Sequence).ValueGeneratedOnAdd();
            entry.HasIndex(e => e.Id).IsUnique();
            entry.HasIndex(e => e.Visit);
        });
        builder.Entity<LinkRow>(link =>
        {
            link.HasKey(l => l.Sequence);
            link.Property(l => l.Sequence).ValueGeneratedNever();
        });
        builder.Entity<StationRow>(station =>
        {
            station.HasKey(s => s.Code);
            station.HasIndex(s => s.Water);
        });
        builder.Entity<ProgrammeRow>().HasKey(p => new { p.Code, p.Version });
        builder.Entity<KitRow>(item =>
        {
            item.HasKey(i => i.Code);
            item.Property(i => i.Kind).HasConversion<string>();
        });
        builder.Entity<TrainingRow>().HasIndex(t => t.Person);
        builder.Entity<KitCheckRow>(check =>
        {
            check.HasKey(c => c.Sequence);
            check.HasIndex(c => c.Item);
        });
        builder.Entity<PhotoRow>().HasKey(p => p.Id);
        builder.Entity<ProposalRow>(proposal =>
        {
            proposal.HasKey(p => p.Id);
            proposal.HasIndex(p => p.Water);
        });
        builder.Entity<LaboratoryRow>().HasKey(l => l.Code);
        builder.Entity<SeasonDayRow>(day =>
        {
            day.HasKey(d => d.Id);
            day.HasIndex(d => d.Day);
            day.Property(d => d.Kind).HasConversion<string>();
        });
        builder.Entity<InstanceFact>().HasKey(f => f.Name);
        builder.Entity<VisitRow>(visit =>
        {
            visit.HasIndex(v => new { v.Review, v.Day });
            visit.HasKey(v => v.Visit);
            visit.HasIndex(v => new { v.Station, v.Day });
            visit.HasIndex(v => new { v.Station, v.LastSequence });
            visit.HasIndex(v => v.LastSequence);
        });
        builder.Entity<WaitingVisitRow>(waiting =>
        {
            waiting.ToTable("WaitingVisits");
            waiting.HasKey(w => w.Visit);
            waiting.HasIndex(w => new { w.Station, w.Day });
        });
        builder.Entity<ReadingRow>(reading =>
        {
            reading.HasKey(r => new
            {
                r.Visit,
                r.Protocol,
                r.Parameter,
                r.Item,
            });
            reading.HasIndex(r => new
            {
                r.Station,
                r.Parameter,
                r.Day,
            });
            reading.Property(r => r.Censored).HasConversion<string>();
        });
        builder.Entity<RecordRow>(record =>
        {
            record.HasNoKey().ToView("Record");
            record.Property(r => r.Censored).HasConversion<string>();
        });
        builder.Entity<LevelRow>(level =>
        {
            level.HasKey(l => new { l.Visit, l.Ordinal });
            level.HasIndex(l => new { l.Station, l.Day });
        });
        builder.Entity<SampleRow>(sample =>
        {
            sample.HasKey(s => new { s.Visit, s.Number });
            sample.HasIndex(s => s.Body);
            sample.HasIndex(s => s.Manifest);
            sample.HasIndex(s => new { s.Open, s.Day });
        });
        builder.Entity<HeldResultRow>(row =>
        {
            row.HasKey(r => r.Id);
            row.HasIndex(r => r.Settled);
        });
        builder.Entity<ResultMappingRow>().HasKey(m => m.Heads);
        builder.Entity<ProfileRow>(profile =>
        {
            profile.HasKey(p => p.Visit);
            profile.HasIndex(p => new { p.Station, p.Day });
        });
        builder.Entity<AnswerRow>(answer =>
        {
            answer.HasKey(a => new
            {
                a.Reader,
                a.Subject,
                a.Station,
            });
            answer.Property(a => a.Reader).HasConversion<string>();
            answer.Property(a => a.Subject).HasConversion(s => s.Code, code => new Parameter(code));
        });
        builder.Entity<StationMarkRow>().HasKey(m => m.Station);
        builder
            .Entity<SeriesJoinRow>()
            .HasKey(j => new
            {
                j.Station,
                j.Subject,
                j.Day,
            });
        builder.Entity<BenchmarkRow>(limit =>
        {
            limit.HasKey(l => l.Id);
            limit.HasIndex(l => l.Water);
        });
        builder.Entity<FindingRow>().HasKey(f => new { f.Visit, f.Ordinal });
    }

    /// <inheritdoc/>
    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder)
    {
        ArgumentNullException.ThrowIfNull(configurationBuilder);
        configurationBuilder.Properties<DateTimeOffset>().HaveConversion<InstantWithOffset>();
    }

    // ISO 8601 with the offset: the local clock time of a reading must survive.
    private sealed class InstantWithOffset()
        : ValueConverter<DateTimeOffset, string>(
            v => v.ToString("O", CultureInfo.InvariantCulture),
            v => DateTimeOffset.Parse(v, CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind)
        );
}
