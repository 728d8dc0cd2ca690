using BenchmarkDotNet.Running;
using Ingegno.Benchmarks;

if (args is ["desk-data", var folder])
{
    DeskData.Grow(folder);
    return;
}

BenchmarkSwitcher.FromTypes([typeof(LadderBenchmarks), typeof(HomeBenchmarks), typeof(RebuildBenchmarks), typeof(DoseBenchmarks), typeof(WeekBenchmarks)]).Run(args);
