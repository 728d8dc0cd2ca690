using BenchmarkDotNet.Running;
using Ingegno.Benchmarks;

if (args is ["desk-data", var folder])
{
    DeskData.Grow(folder);
    return;
}

if (args is ["forecasts", var plot])
{
    ForecastTable.Write(plot);
    return;
}

BenchmarkSwitcher.FromTypes([typeof(LadderBenchmarks), typeof(HomeBenchmarks), typeof(RebuildBenchmarks), typeof(DoseBenchmarks), typeof(WeekBenchmarks), typeof(LearningBenchmarks)]).Run(args);
