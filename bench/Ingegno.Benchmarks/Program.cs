using System.Globalization;
using BenchmarkDotNet.Running;
using Ingegno.Benchmarks;

if (args is ["desk-data", var folder, .. var size])
{
    DeskData.Grow(folder, size is [var clients, _] ? int.Parse(clients, CultureInfo.InvariantCulture) : 200, size is [_, var sets] ? int.Parse(sets, CultureInfo.InvariantCulture) : 10_000);
    return;
}

if (args is ["forecasts", var plot])
{
    ForecastTable.Write(plot);
    return;
}

BenchmarkSwitcher.FromTypes([typeof(LadderBenchmarks), typeof(HomeBenchmarks), typeof(RebuildBenchmarks), typeof(DoseBenchmarks), typeof(WeekBenchmarks), typeof(LearningBenchmarks)]).Run(args);
