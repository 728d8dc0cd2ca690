using BenchmarkDotNet.Running;
using Ingegno.Benchmarks;

BenchmarkSwitcher.FromTypes([typeof(LadderBenchmarks), typeof(RebuildBenchmarks)]).Run(args);
